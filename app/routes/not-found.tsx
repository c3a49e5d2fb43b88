import { Link } from 'react-router';

export const meta = () => [{ title: 'Not here · Split Tap' }];

export default function NotFound() {
  return (
    <main className="mx-auto w-full max-w-xl p-6">
      <h1 className="text-xl font-bold">There is no page at this address</h1>
      <p className="mt-2">The jobs of this browser, and the demo house, are on the home page.</p>
      <Link to="/" className="button mt-6">
        Home page
      </Link>
    </main>
  );
}
