import type { Mark } from './terms';

const WIRE = {
  B: 'var(--wire-black)',
  W: 'var(--wire-white)',
  R: 'var(--wire-red)',
  G: 'var(--wire-bare)',
} as const;
const SCREW = {
  brass: 'var(--brass)',
  silver: 'var(--silver)',
  green: 'var(--screw-green)',
  dark: 'var(--screw-dark)',
} as const;
const FILL = {
  box: 'var(--paper)',
  dev: 'var(--device)',
  well: 'var(--well)',
  fill: 'var(--plum-tint)',
  jacket: 'var(--jacket-white)',
} as const;

/** The small picture of a term. */
export function Picture({ marks, label }: { marks: readonly Mark[]; label: string }) {
  return (
    <svg viewBox="0 0 90 90" width={90} height={90} role="img" aria-label={label} className="shrink-0">
      {marks.map((mark, index) => (
        <Drawn key={index} mark={mark} />
      ))}
    </svg>
  );
}

function Drawn({ mark }: { mark: Mark }) {
  if ('d' in mark) {
    const { draw, d } = mark;
    if (draw === 'B' || draw === 'W' || draw === 'R' || draw === 'G')
      return (
        <g fill="none" strokeLinecap="round">
          <path d={d} stroke="var(--wire-outline)" strokeWidth={7} />
          <path d={d} stroke={WIRE[draw]} strokeWidth={5} />
        </g>
      );
    return (
      <path
        d={d}
        fill="none"
        stroke={draw === 'plum' ? 'var(--plum)' : draw === 'dash2' ? 'var(--wire-black)' : 'var(--ink)'}
        strokeWidth={draw === 'dash2' ? 9 : 3}
        strokeDasharray={draw === 'dash' ? '6 5' : undefined}
      />
    );
  }
  const { draw, at } = mark;
  const [x = 0, y = 0, width = 0, height = 0] = at;
  const ink = { stroke: 'var(--ink)', strokeWidth: 2 } as const;
  switch (draw) {
    case 'box':
    case 'dev':
    case 'well':
    case 'fill':
    case 'jacket':
      return <rect x={x} y={y} width={width} height={height} rx={5} fill={FILL[draw]} {...ink} />;
    case 'brass':
    case 'silver':
    case 'green':
    case 'dark':
      return (
        <g {...ink}>
          <circle cx={x} cy={y} r={7} fill={SCREW[draw]} />
          <path d={`M${x - 4} ${y + 3}l8-6`} />
        </g>
      );
    case 'lamp':
      return (
        <g fill="none" {...ink}>
          <circle cx={x} cy={y} r={11} />
          <path d={`M${x - 8} ${y - 8}l16 16m0-16l-16 16`} />
        </g>
      );
    case 'btn':
      return <rect x={x} y={y} width={9} height={9} rx={2} fill="var(--paper)" {...ink} />;
    case 'open':
      return <circle cx={x} cy={y} r={5} fill="none" {...ink} />;
    case 'dot':
      return <circle cx={x} cy={y} r={4} fill="var(--ink)" />;
    case 'clock':
      return (
        <g fill="none" {...ink}>
          <circle cx={x} cy={y} r={28} />
          <path d={`M${x} ${y - 18}v18l14 9`} />
        </g>
      );
    case 'cap':
      return <path d={`M${x} ${y + 38}l5-38h16l5 38z`} fill="var(--paper)" {...ink} />;
  }
}
