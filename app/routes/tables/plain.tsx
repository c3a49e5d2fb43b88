import { say } from '~/words/tables';

export function Scroll({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <div
      className="overflow-x-auto rounded-xl border-2 border-line bg-paper"
      tabIndex={0}
      role="region"
      aria-label={say('route.scrollsSideways', { label })}
    >
      {children}
    </div>
  );
}

export function Plain({
  label,
  head,
  rows,
}: {
  label: string;
  head: readonly string[];
  rows: readonly (readonly (string | number)[])[];
}) {
  return (
    <Scroll label={label}>
      <table className="w-full text-left">
        <thead>
          <tr className="border-b-2 border-line text-sm">
            {head.map((one) => (
              <th key={one} className="px-2 py-2 align-bottom">
                {one}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.join()} className="border-b border-line last:border-b-0">
              {row.map((cell, index) => (
                <td key={head[index]} className={`px-2 py-1.5 ${typeof cell === 'number' ? 'num' : ''}`}>
                  {cell}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </Scroll>
  );
}
