import { Command } from 'cmdk';
import { useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import { RULES } from '@core/code/rules';
import { STARTS } from '@core/handover/starts/starts';
import { openStore } from '~/storage/opened';
import { useClosing } from '~/ui/use-closing';
import { say } from '~/words/palette';
import { keyName, useOffered, type Offer } from './offered';

const GROUPS = [
  { group: 'do', name: say('palette.do') },
  { group: 'stage', name: say('palette.stages') },
  { group: 'box', name: say('palette.boxes') },
  { group: 'page', name: say('palette.pages') },
  { group: 'job', name: say('palette.jobs') },
  { group: 'start', name: say('palette.starts') },
  { group: 'table', name: say('palette.tables') },
  { group: 'rule', name: say('palette.rules') },
] as const;

const TABLES = [
  { id: 'rules', name: say('palette.tableRules') },
  { id: 'conductors', name: say('palette.tableConductors') },
  { id: 'boxes', name: say('palette.tableBoxes') },
  { id: 'appliances', name: say('palette.tableLoads') },
  { id: 'cables', name: say('palette.tableCables') },
  { id: 'connectors', name: say('palette.tableConnectors') },
  { id: 'values', name: say('palette.tableValues') },
  { id: 'prices', name: say('palette.tablePrices') },
  { id: 'glossary', name: say('palette.tableWords') },
] as const;

/** Everything by its name: actions, stages, boxes, jobs, starting points, tables and rules. */
export default function Palette({ onClose }: { onClose: () => void }) {
  const onOpenChange = useClosing(onClose);
  const navigate = useNavigate();
  const here = useOffered();
  const jobs = useJobs();
  const to = (group: Offer['group'], id: string, name: string, address: string): Offer => ({
    id: `${group} ${id}`,
    name,
    group,
    act: () => void navigate(address),
  });
  const all = [
    ...here.filter(({ id }) => id !== 'palette'),
    ...jobs.map(({ id, name }) => to('job', id, name, `/job/${id}/lay-out`)),
    ...STARTS.map(({ id, name }) => to('start', id, name, `/new?start=${id}`)),
    ...TABLES.map(({ id, name }) => to('table', id, name, `/tables#${id}`)),
    ...RULES.map(({ id, title }) => to('rule', id, `${id} ${title}`, `/tables?rule=${id}`)),
  ];
  return (
    <Command.Dialog
      open
      loop
      onOpenChange={onOpenChange}
      label={say('palette.label')}
      overlayClassName="fixed inset-0 z-40 bg-black/40"
      contentClassName="fixed top-[10vh] left-1/2 z-50 w-[min(40rem,calc(100vw-1rem))] -translate-x-1/2 overflow-hidden rounded-2xl border-2 border-ink bg-paper"
    >
      <Command.Input
        placeholder={say('palette.placeholder')}
        className="min-h-14 w-full border-b-2 border-ink bg-paper px-4 text-lg outline-none"
      />
      <Command.List label={say('palette.found')} className="max-h-[60vh] overflow-auto p-2">
        <Command.Empty className="p-3">{say('palette.nothing')}</Command.Empty>
        {GROUPS.map(({ group, name }) => {
          const own = all.filter((one) => one.group === group);
          return own.length === 0 ? null : (
            <Command.Group
              key={group}
              heading={name}
              className="[&_[cmdk-group-heading]]:px-3 [&_[cmdk-group-heading]]:pt-2 [&_[cmdk-group-heading]]:text-sm [&_[cmdk-group-heading]]:text-ink-soft"
            >
              {own.map((offer) => (
                <Command.Item
                  key={offer.id}
                  value={`${offer.name} ${offer.id}`}
                  onSelect={() => {
                    onClose();
                    offer.act();
                  }}
                  className="flex min-h-11 items-center gap-3 rounded-lg px-3 font-semibold data-[selected=true]:bg-plum-tint"
                >
                  <span className="min-w-0 flex-1">{offer.name}</span>
                  {offer.keys ? <kbd className="num text-sm text-ink-soft">{keyName(offer.keys)}</kbd> : null}
                </Command.Item>
              ))}
            </Command.Group>
          );
        })}
      </Command.List>
    </Command.Dialog>
  );
}

/** The jobs of this browser. */
function useJobs(): readonly { readonly id: string; readonly name: string }[] {
  const [jobs, setJobs] = useState<readonly { readonly id: string; readonly name: string }[]>([]);
  useEffect(() => {
    let left = false;
    void openStore()
      .then(({ store }) => store.list())
      .then((list) => !left && setJobs(list));
    return () => {
      left = true;
    };
  }, []);
  return jobs;
}
