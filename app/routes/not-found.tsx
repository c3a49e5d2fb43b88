import { Link } from 'react-router';
import { say } from '~/words/shell';

export const meta = () => [{ title: say('notFound.notHereSplitTap') }];

export default function NotFound() {
  return (
    <main className="mx-auto w-full max-w-xl p-6">
      <h1 className="text-xl font-bold">{say('notFound.noPageAddress')}</h1>
      <p className="mt-2">{say('notFound.where')}</p>
      <Link to="/" className="button mt-6">
        {say('notFound.homePage')}
      </Link>
    </main>
  );
}
