import { lazy, type ComponentType } from 'react';
import { say } from '~/words/shell';

/**
 * What the build draws of a page: `load` is null in the browser (`import.meta.env.SSR`), which has no part of it. The framework renders pages once before the
 * languages are there: without words nothing can be named, and nothing is drawn.
 */
export const drawnAtBuild = <Props>(
  load: (() => Promise<{ default: ComponentType<Props> }>) | null,
): ComponentType<Props> | null => load && lazy(async () => (say('root.splitTap') === '' ? NOTHING : load()));

const NOTHING = { default: () => null };
