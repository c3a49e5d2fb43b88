import type { DrawnDevice } from '@core/wiring/geometry/drawing';
import type { BoxHandlers, LiveView } from './live';

/** A drawn device with what is live of it and what can be done to it. */
export interface DeviceProps {
  readonly device: DrawnDevice;
  readonly live: LiveView | undefined;
  readonly handlers: BoxHandlers;
}
