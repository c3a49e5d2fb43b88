import { wishKind } from '@core/trade/devices';
import { useSearchParams } from 'react-router';
import type { Design } from '@core/job/model/design';

/** The box a stage shows, kept in the address as `?box=`: the first with a receptacle unless said. */
export function useChosenBox(
  job: Design,
  more: readonly string[] = [],
): [box: string, choose: (box: string) => void] {
  const [params, setParams] = useSearchParams();
  const asked = params.get('box');
  const first = job.devices.find(({ kind }) => wishKind(kind).receptacle)?.box ?? job.boxes[0]?.id ?? '';
  const box =
    asked !== null && (more.includes(asked) || job.boxes.some(({ id }) => id === asked)) ? asked : first;
  return [box, (next) => setParams({ box: next }, { replace: true, preventScrollReset: true })];
}
