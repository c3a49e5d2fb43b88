/** A fault in something that came from outside: where in it, what is wrong, and the way out. */
export interface Problem {
  /** Path inside the file or form, such as `job.runs[2].from`; empty for the whole. */
  readonly path: string;
  readonly message: string;
  readonly wayOut?: string;
  /** True where something else came first: what was asked can be asked again, knowing what is there now. */
  readonly again?: boolean;
}

/** A value, or the problems that kept it from being one. */
export type Checked<T> = { ok: true; value: T } | { ok: false; problems: readonly Problem[] };

export const good = <T>(value: T): Checked<T> => ({ ok: true, value });
export const bad = (...problems: Problem[]): Checked<never> => ({ ok: false, problems });

/** `['job', 'runs', 2, 'from']` as `job.runs[2].from`. */
export const pathText = (path: readonly PropertyKey[]): string =>
  path.reduce<string>(
    (text, key) =>
      typeof key === 'number' ? `${text}[${key}]` : text === '' ? String(key) : `${text}.${String(key)}`,
    '',
  );

/** One line for a screen or a log. */
export const problemText = ({ path, message, wayOut }: Problem): string =>
  [path && `${path}:`, message, wayOut].filter(Boolean).join(' ');
