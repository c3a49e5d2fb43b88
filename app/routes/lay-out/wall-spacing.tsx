import type { Room } from '@core/job/model/design';
import { spotPoint, type FloorPoint } from '@core/job/rooms/corners';
import type { Spacing } from '@core/job/rooms/spacing';
import { say } from '~/words/lay-out';

/** Stretches of wall that are more than 6 ft from a receptacle that counts: hatched inside the wall. */
export function WallGaps({
  room,
  gaps,
  at,
}: {
  room: Room;
  gaps: Spacing['gaps'];
  at: (point: FloorPoint) => FloorPoint;
}) {
  return gaps.map(({ wall, fromFt, toFt }) => {
    const { at: start, outward } = spotPoint(room, wall, fromFt);
    const [a, b] = [at(start), at(spotPoint(room, wall, toFt).at)];
    const inward = ([x, y]: FloorPoint) => `${x - outward[0] * 9} ${y - outward[1] * 9}`;
    return (
      <path
        key={`${wall} ${fromFt}`}
        d={`M${inward(a)}L${inward(b)}`}
        stroke="var(--plum)"
        strokeWidth={8}
        strokeDasharray="4 5"
        data-gap={`${wall}`}
      />
    );
  });
}

/** The spacing in words: what counts, what does not and why, where a receptacle is missing. */
export function SpacingWords({
  names,
  room,
  spacing,
}: {
  names: (device: string) => string;
  room: Room;
  spacing: Spacing;
}) {
  const { counted, uncounted, gaps } = spacing;
  return (
    <div className="grid gap-1 text-sm">
      <p>
        {gaps.length === 0
          ? say('wallSpacing.nearEnough')
          : say('wallSpacing.tooFar', {
              doors: room.openings.filter(({ kind }) => kind !== 'window').length,
              totalFt: gaps.reduce((sum, { fromFt, toFt }) => sum + toFt - fromFt, 0).toFixed(1),
            })}
      </p>
      {counted.length > 0 ? (
        <p>{say('wallSpacing.counts', { counted: counted.map(({ device }) => names(device)).join(', ') })}</p>
      ) : null}
      {uncounted.map(({ device, why }) => (
        <p key={device}>{say('wallSpacing.doesNotCountSince', { names: names(device), why })}</p>
      ))}
    </div>
  );
}

/** Doors and openings as gaps in the wall, windows as a line in it. */
export function WallOpenings({ room, at }: { room: Room; at: (point: FloorPoint) => FloorPoint }) {
  return room.openings.map(({ id, kind, wall, fromFt, toFt }) => {
    const [a, b] = [fromFt, toFt].map((ft) => at(spotPoint(room, wall, ft).at).join(' '));
    return (
      <path
        key={id}
        d={`M${a}L${b}`}
        stroke={kind === 'window' ? 'var(--sand)' : 'var(--well)'}
        strokeWidth={kind === 'window' ? 2.5 : 7}
        data-opening={kind}
      />
    );
  });
}
