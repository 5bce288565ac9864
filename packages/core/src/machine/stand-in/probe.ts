import type { ProbeReading, RoomReading } from './reading.ts';

/** A probe thermometer that is not there: it follows what it stands in. */
interface ProbeStandIn {
  readonly at: number;
  readonly around: number;
  readonly felt: number;
}

/** Seconds in which two thirds of a difference are felt by a thin probe. Common practice, no source. */
const probeLag = 4;
/** The same of a room sensor. */
const roomLag = 120;

export const probeStandIn = (celsius = 20): ProbeStandIn => ({
  at: 0,
  around: celsius,
  felt: celsius,
});

const follow = (felt: number, around: number, ms: number, lag: number): number =>
  felt + (1 - Math.exp(-ms / 1000 / lag)) * (around - felt);

/** The same probe later. */
export const probeLater = (probe: ProbeStandIn, ms: number): ProbeStandIn => ({
  ...probe,
  at: probe.at + ms,
  felt: follow(probe.felt, probe.around, ms, probeLag),
});

/** Puts it into something else. */
export const putInto = (probe: ProbeStandIn, celsius: number): ProbeStandIn => ({
  ...probe,
  around: celsius,
});

/**
 * What it shows, to a tenth of a degree.
 *
 * @example probeReading(probeLater(putInto(probeStandIn(20), 96), 60_000)).celsius // 96
 */
export const probeReading = ({ at, felt }: ProbeStandIn): ProbeReading => ({
  at,
  celsius: Math.round(felt * 10) / 10,
});

/** A room sensor that is not there. */
interface RoomStandIn {
  readonly at: number;
  readonly around: { readonly celsius: number; readonly humidity: number };
  readonly felt: { readonly celsius: number; readonly humidity: number };
}

export const roomStandIn = (celsius = 21, humidity = 0.55): RoomStandIn => ({
  at: 0,
  around: { celsius, humidity },
  felt: { celsius, humidity },
});

export const roomLater = (room: RoomStandIn, ms: number): RoomStandIn => ({
  ...room,
  at: room.at + ms,
  felt: {
    celsius: follow(room.felt.celsius, room.around.celsius, ms, roomLag),
    humidity: follow(room.felt.humidity, room.around.humidity, ms, roomLag),
  },
});

/** The air changes. */
export const airIs = (room: RoomStandIn, around: RoomStandIn['around']): RoomStandIn => ({
  ...room,
  around,
});

/** What it shows: tenths of a degree, whole per cents. */
export const roomReading = ({ at, felt }: RoomStandIn): RoomReading => ({
  at,
  celsius: Math.round(felt.celsius * 10) / 10,
  humidity: Math.round(felt.humidity * 100) / 100,
});
