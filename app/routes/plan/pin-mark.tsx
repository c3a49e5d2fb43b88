import type { LineCheck } from '@core/code/brief/check-lines';

/** The mark of a plan line: a full circle where it is met, a triangle where it is not, an open square on its tip to be decided. */
export function PinMark({
  state,
  number,
  chosen = false,
}: {
  state: LineCheck['state'];
  number: number;
  chosen?: boolean;
}) {
  const ink = chosen ? 'var(--plum)' : 'var(--ink)';
  const shape = SHAPE[state];
  const full = state === 'met';
  return (
    <>
      <circle r={18} fill="transparent" />
      <path
        d={shape}
        fill={full ? ink : 'var(--sand)'}
        stroke="var(--sand)"
        strokeWidth={6}
        strokeLinejoin="round"
      />
      <path
        d={shape}
        fill={full ? ink : 'var(--sand)'}
        stroke={ink}
        strokeWidth={3}
        strokeLinejoin="round"
        {...(state === 'open' ? { strokeDasharray: '4 3' } : {})}
      />
      <text
        y={state === 'not met' ? 8 : 5}
        textAnchor="middle"
        fontSize={13}
        fontWeight={750}
        fill={full ? 'var(--sand)' : 'var(--ink)'}
      >
        {number}
      </text>
    </>
  );
}

const SHAPE: Readonly<Record<LineCheck['state'], string>> = {
  met: 'M12 0A12 12 0 1 1 -12 0A12 12 0 1 1 12 0Z',
  'not met': 'M0 -17L16 12H-16Z',
  open: 'M0 -15L15 0L0 15L-15 0Z',
};
