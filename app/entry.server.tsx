import { renderToStringAsync } from 'preact-render-to-string';
import { ServerRouter, type EntryContext } from 'react-router';

/** Pages are rendered when the app is built: whole. */
export default async function handleRequest(
  request: Request,
  status: number,
  headers: Headers,
  context: EntryContext,
) {
  const html = await renderToStringAsync(<ServerRouter context={context} url={request.url} />);
  headers.set('Content-Type', 'text/html');
  return new Response(`<!DOCTYPE html>${html}`, { status, headers });
}
