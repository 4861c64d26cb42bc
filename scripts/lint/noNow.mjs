/** The one rule the linter has no word for: `new Date()` without a time in it asks the clock. */
export default {
  meta: { name: 'harina' },
  rules: {
    'no-now': {
      create: (context) => ({
        NewExpression(node) {
          if (node.callee.type === 'Identifier' && node.callee.name === 'Date' && node.arguments.length === 0)
            context.report({ node, message: 'Time comes as an argument.' })
        },
      }),
    },
  },
}
