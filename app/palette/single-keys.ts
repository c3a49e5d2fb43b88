import { keep, kept } from '~/ui/kept-here';

const NAME = 'single keys';

/** Whether single letters do something on this device: whoever dictates turns them off (WCAG 2.2, 2.1.4). */
export const singleKeys = (): boolean => kept(NAME) !== 'off';
export const setSingleKeys = (on: boolean): void => keep(NAME, on ? 'on' : 'off');
