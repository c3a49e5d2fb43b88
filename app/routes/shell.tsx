import { useEffect } from 'react';
import { Outlet } from 'react-router';
import { Importer } from '~/files/importer';
import { Keys } from '~/palette/keys';
import { Notices } from '~/ui/notices';
import { NotKept } from '~/ui/not-kept';
import { wake } from '~/standing/standing';
import { useKeptFocus } from '~/ui/use-kept-focus';
import { Offline } from '~/ui/offline';

/** What every page shares: room for notices, and files that are dropped on it. */
export default function Shell() {
  useKeptFocus();
  useEffect(wake, []);
  return (
    <Notices>
      <Importer>
        <Keys>
          <div className="flex min-h-dvh flex-col">
            <NotKept />
            <Outlet />
            <Offline />
          </div>
        </Keys>
      </Importer>
    </Notices>
  );
}
