import { readLight, type FromLight } from '@core/handover/light/message';
import type { Checked } from '@core/job/model/problem';
import { openStore } from '~/storage/opened';

/** Reads what was shown as light, over the copies that are kept here. */
export async function fromLight(bytes: Uint8Array): Promise<Checked<FromLight>> {
  const { crew } = await (await openStore()).files();
  const wanted: { readonly of: string; readonly print: string }[] = [];
  readLight(bytes, (of, print) => {
    wanted.push({ of, print });
    return null;
  });
  const copies = new Map(
    await Promise.all(
      wanted.map(async ({ of, print }) => [`${of} ${print}`, await crew.kin.copy(of, print)] as const),
    ),
  );
  return readLight(bytes, (of, print) => copies.get(`${of} ${print}`) ?? null);
}
