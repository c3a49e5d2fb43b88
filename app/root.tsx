import { isRouteErrorResponse, Links, Meta, Outlet, Scripts, ScrollRestoration } from 'react-router';
import type { Route } from './+types/root';
import './app.css';
import face from '@fontsource-variable/overpass/files/overpass-latin-wght-normal.woff2?url';
import figures from '@fontsource-variable/overpass-mono/files/overpass-mono-latin-wght-normal.woff2?url';
import { locale } from '@core/base/words/language';
import { earlyScript, lookScript } from './standing/early';
import { Opening } from './standing/opening';
import { Standing } from './standing/standing';
import { languageScript } from './ui/language';
import { themeScript } from './ui/theme';
import { say } from '~/words/shell';

export const links: Route.LinksFunction = () => [
  // Asked for together with the style that names them, and not after it.
  ...[face, figures].map((href) => ({
    rel: 'preload',
    href,
    as: 'font',
    type: 'font/woff2',
    crossOrigin: 'anonymous' as const,
  })),
  { rel: 'icon', href: `${import.meta.env.BASE_URL}icon.svg`, type: 'image/svg+xml' },
  { rel: 'manifest', href: `${import.meta.env.BASE_URL}manifest.webmanifest` },
];

export const meta: Route.MetaFunction = () => [{ title: say('root.splitTap') }];

/** The policy of the pages allows no code made at run time: the schema library is told, or it would try, and be reported. */
const NO_EVAL = 'globalThis.__zod_globalConfig = { jitless: true };';

export function Layout({ children }: { children: React.ReactNode }) {
  return (
    <html lang={locale}>
      <head>
        <meta charSet="utf-8" />
        {/* Filled in once the scripts of the page are known (scripts/build/pages.ts). */}
        <meta httpEquiv="Content-Security-Policy" content="" />
        <meta name="viewport" content="width=device-width, initial-scale=1" />
        <meta name="description" content={say('root.description')} />
        <script
          dangerouslySetInnerHTML={{ __html: `${languageScript}${themeScript}${lookScript}${NO_EVAL}` }}
        />
        <Meta />
        <Links />
      </head>
      <body>
        {children}
        <ScrollRestoration />
        <Scripts />
        <script dangerouslySetInnerHTML={{ __html: earlyScript }} />
      </body>
    </html>
  );
}

/** What stands while the page of a job is put together. */
export function HydrateFallback() {
  return (
    <div className="flex min-h-dvh flex-col">
      <Standing>
        <Opening />
      </Standing>
    </div>
  );
}

export default function Root() {
  return <Outlet />;
}

export function ErrorBoundary({ error }: Route.ErrorBoundaryProps) {
  const known = isRouteErrorResponse(error);
  return (
    <main className="mx-auto max-w-xl p-6">
      <h1 className="text-xl font-bold">
        {known ? error.statusText || say('root.notFound') : say('root.somethingBroke')}
      </h1>
      <p className="mt-2">
        {known ? String(error.data || say('root.nothingAddress')) : say('root.jobsUntouched')}
      </p>
      <a className="button mt-6" href={import.meta.env.BASE_URL}>
        {say('root.homePage')}
      </a>
    </main>
  );
}
