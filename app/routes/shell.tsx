import { Outlet } from 'react-router';
import { Notices } from '~/ui/notices';
import { NotKept } from '~/ui/not-kept';
import { Offline } from '~/ui/offline';

/** What every page shares: room for notices. */
export default function Shell() {
  return (
    <Notices>
      <div className="flex min-h-dvh flex-col">
        <NotKept />
        <Outlet />
        <Offline />
      </div>
    </Notices>
  );
}
