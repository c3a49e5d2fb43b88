import { boxToTry } from '~/workers/glance-room';
import TryIt from './try-it';

/** The box to try as the build draws it: planned as the page plans it. */
export default function TryAtBuild() {
  const plan = boxToTry();
  if (!plan) throw new Error('The box to try was not planned');
  return <TryIt plan={plan} />;
}
