import { keep, kept } from '~/ui/kept-here';

const KEY = 'splitTapDevice';

/** A name of this device for other devices, made when it is first asked for; it says nothing of whose it is. */
export function thisDevice(): string {
  const known = kept(KEY);
  if (known) return known.slice(0, 40);
  const fresh = crypto.randomUUID().slice(0, 8);
  keep(KEY, fresh);
  return fresh;
}
