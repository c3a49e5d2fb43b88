import { Navigate, useSearchParams } from 'react-router';

/** Load was a stage of its own once: its address leads to where it is now. */
export default function Moved() {
  const [search] = useSearchParams();
  const view = search.get('view') ?? 'load';
  return <Navigate replace relative="path" to={`../check${view === 'rules' ? '' : `?view=${view}`}`} />;
}
