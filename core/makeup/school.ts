import type { Design } from '../model/design';
import type { NetRole } from '../model/wiring';
import type { ConnectorSchool } from '../standards/connectors';

/** Folded grounds want a grounding connector; everything else follows the habit of the house. */
export const schoolFor = ({ habits }: Design, role: NetRole): ConnectorSchool =>
  role === 'ground' && habits.grounds === 'folded' ? 'grounding' : habits.connectors;
