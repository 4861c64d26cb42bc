import { SidePanel } from '../ui/SidePanel.tsx'

const groups: readonly { where: string; keys: readonly (readonly [string, string])[] }[] = [
  {
    where: 'Everywhere',
    keys: [
      ['Ctrl K', 'find a formula, shape, batch or station'],
      ['Ctrl Z', 'undo'],
      ['Ctrl Shift Z', 'redo'],
      ['?', 'this list'],
    ],
  },
  {
    where: 'On the rule',
    keys: [
      ['← →', 'half a point of water'],
      ['Shift ← →', 'a tenth of a point'],
      ['Page Up, Page Down', 'five points'],
    ],
  },
  {
    where: 'At the bench',
    keys: [
      ['Space', 'the dark button: done, go on'],
      ['1 to 9', 'how it feels, what is at hand, what becomes of it'],
      ['← →', 'look back and ahead'],
    ],
  },
]

export default function ShortcutList({ onClose }: { onClose: () => void }) {
  return (
    <SidePanel title="Keys" onClose={onClose}>
      {groups.map(({ where, keys }) => (
        <section key={where} className="mb-6">
          <h3 className="head mb-2 text-lg">{where}</h3>
          <dl className="grid grid-cols-[9rem_1fr] gap-y-2">
            {keys.map(([key, what]) => (
              <div key={key} className="contents">
                <dt>
                  <span className="key">{key}</span>
                </dt>
                <dd>{what}</dd>
              </div>
            ))}
          </dl>
        </section>
      ))}
      <p className="small">On a Mac, Ctrl is the ⌘ key.</p>
    </SidePanel>
  )
}
