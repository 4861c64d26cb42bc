/** One outlet of a die, seen from the front. Sizes in px; what is open is filled. */
interface Props {
  readonly section: string
  readonly outer: number
  readonly inner: number
  readonly fill: string
}

const line = { stroke: 'var(--ink)', strokeWidth: 1.5 } as const
const toothed = (r: number, teeth: number, root = 0.93): string =>
  Array.from({ length: teeth * 2 }, (_, k) => {
    const angle = (k / (teeth * 2)) * Math.PI * 2
    const reach = k % 2 === 0 ? r : r * root
    return `${k === 0 ? 'M' : 'L'}${(r + reach * Math.cos(angle)).toFixed(2)} ${(r + reach * Math.sin(angle)).toFixed(2)}`
  }).join('') + 'Z'

export function DieFace({ section, outer, inner, fill }: Props) {
  const r = outer / 2
  const bore = <circle cx={r} cy={r} r={inner / 2} fill="var(--sheet)" {...line} />
  switch (section) {
    case 'round':
      return <circle cx={r} cy={r} r={r} fill={fill} {...line} />
    case 'square':
      return <rect width={outer} height={outer} fill={fill} {...line} />
    case 'tube':
    case 'tube-bent':
      return (
        <>
          <circle cx={r} cy={r} r={r} fill={fill} {...line} />
          {section === 'tube-bent' ? <circle cx={r} cy={r * 0.93} r={inner / 2} fill="var(--sheet)" {...line} /> : bore}
        </>
      )
    case 'tube-ridged':
      return (
        <>
          <path d={toothed(r, 20)} fill={fill} {...line} />
          {bore}
        </>
      )
    case 'ellipse':
      return <ellipse cx={r} cy={r} rx={r} ry={Math.max(1, inner / 2)} fill={fill} {...line} />
    case 'twin':
      return (
        <>
          {[-1, 1].map((side) => (
            <circle key={side} cx={r + side * (r - inner / 2)} cy={r} r={inner / 2} fill={fill} {...line} />
          ))}
        </>
      )
    case 's-slot':
      return (
        <path
          d={`M${outer} ${r * 0.7}a${r / 2} ${r / 2} 0 1 0 -${r} ${r * 0.3}a${r / 2} ${r / 2} 0 1 1 -${r} ${r * 0.3}`}
          fill="none"
          stroke="var(--ink)"
          strokeWidth={Math.max(2, inner)}
        />
      )
    case 'arc-slot':
      return (
        <path
          d={`M0 ${r}A${r} ${r} 0 0 1 ${outer} ${r}`}
          fill="none"
          stroke="var(--ink)"
          strokeWidth={Math.max(2, inner)}
        />
      )
    case 'spiral':
      return (
        <g stroke="var(--ink)" strokeWidth={Math.max(2, inner)} strokeLinecap="round">
          {[0, 1, 2].map((k) => {
            const angle = (k * Math.PI * 2) / 3 - Math.PI / 2
            return <path key={k} d={`M${r} ${r}L${r + r * Math.cos(angle)} ${r + r * Math.sin(angle)}`} />
          })}
        </g>
      )
    case 'finned':
      return (
        <g stroke="var(--ink)" fill="none" strokeWidth={Math.max(1.5, inner)}>
          <circle cx={r} cy={r} r={r * 0.45} />
          {Array.from({ length: 7 }, (_, k) => {
            const angle = (k / 7) * Math.PI * 2
            return (
              <path
                key={k}
                d={`M${r + r * 0.45 * Math.cos(angle)} ${r + r * 0.45 * Math.sin(angle)}L${r + r * Math.cos(angle)} ${r + r * Math.sin(angle)}`}
              />
            )
          })}
        </g>
      )
    case 'star':
      return (
        <>
          <path d={toothed(r, 6, 0.55)} fill={fill} {...line} />
          {bore}
        </>
      )
    case 'tube-fin':
      return (
        <>
          <path d={`M${r} ${r * 0.5}V${-r * 0.6}`} stroke="var(--ink)" strokeWidth="2.5" />
          <circle cx={r} cy={r} r={r * 0.62} fill={fill} {...line} />
          <circle cx={r} cy={r} r={inner / 2} fill="var(--sheet)" {...line} />
        </>
      )
    default:
      return <rect y={r - inner / 2} width={outer} height={Math.max(2, inner)} fill={fill} {...line} />
  }
}
