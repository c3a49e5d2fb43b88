import type { Design } from '../../job/model/design';
import type { NetRole } from '../../job/model/wiring';
import type { ConnectorSchool } from '../../trade/standards/connectors';

/** Folded grounds want a grounding connector; everything else follows the habit of the house. */
export const schoolFor = ({ habits }: Design, role: NetRole): ConnectorSchool =>
  role === 'ground' && habits.grounds === 'folded' ? 'grounding' : habits.connectors;
