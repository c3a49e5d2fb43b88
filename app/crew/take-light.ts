import { readLight, type FromLight } from '@core/handover/light/message';
import type { Checked } from '@core/job/model/problem';
import { openStore } from '~/storage/opened';

/** Reads what was shown as light, over the copies that are kept here. */
export async function fromLight(bytes: Uint8Array): Promise<Checked<FromLight>> {
  const kin = await (await openStore()).kin();
  return readLight(bytes, (of, print) => kin.copy(of, print));
}
