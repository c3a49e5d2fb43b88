export const INK = 'var(--ink)';
export const SOFT = 'var(--ink-soft)';
export const PLUM = 'var(--plum)';

export const AXIS = { stroke: SOFT, tick: { fill: 'var(--ink-soft)', fontSize: 13 } } as const;

export const TIP = {
  contentStyle: {
    background: 'var(--paper)',
    border: '2px solid var(--ink)',
    borderRadius: 10,
    color: 'var(--ink)',
  },
} as const;

export const SHADES = ['var(--ink)', 'var(--plum)', 'var(--wall)', 'var(--ink-soft)', 'var(--line)'];
