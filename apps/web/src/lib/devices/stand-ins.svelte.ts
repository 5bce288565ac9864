import {
  airIs,
  lift,
  machineLater,
  machineReading,
  machineStandIn,
  pour,
  power,
  probeLater,
  probeReading,
  probeStandIn,
  putInto,
  putOn,
  roomLater,
  roomReading,
  roomStandIn,
  scaleLater,
  scaleReading,
  scaleStandIn,
  tare,
  type Programme,
} from '@tender-crumb/core/machine';
import type { MachineDevice, ProbeDevice, RoomDevice, ScaleDevice } from './device.ts';

/** Stand-ins say something so often, ms: as kitchen scales do. */
const tick = 100;

type Scale = ReturnType<typeof scaleStandIn>;

/** What lies on a scale outlives a page that is loaded again, as it does on a real one. */
const shelf = 'stand-in/scale';
function scaleLeft(): Scale | undefined {
  try {
    const text = sessionStorage.getItem(shelf);
    return text ? { ...scaleStandIn(), ...(JSON.parse(text) as Scale), at: 0 } : undefined;
  } catch {
    return undefined;
  }
}

/** Devices that are not there, behind the same interfaces as real ones would be. */
class StandIns {
  /** Whether any of them is switched on. */
  on = $state(false);
  /** Their time goes so many times as fast as the kitchen's. */
  speed = $state(1);
  #scale = $state.raw<Scale>(scaleStandIn());
  #probe = $state.raw(probeStandIn());
  #room = $state.raw(roomStandIn());
  #machine = $state.raw<ReturnType<typeof machineStandIn> | undefined>();
  #timer: ReturnType<typeof setInterval> | undefined;

  readonly #scaleSays = $derived(this.on ? scaleReading(this.#scale) : undefined);
  readonly #probeSays = $derived(this.on ? probeReading(this.#probe) : undefined);
  readonly #roomSays = $derived(this.on ? roomReading(this.#room) : undefined);
  readonly #machineSays = $derived(
    this.on && this.#machine ? machineReading(this.#machine) : undefined,
  );

  readonly scale: ScaleDevice;
  readonly probe: ProbeDevice;
  readonly room: RoomDevice;
  readonly machine: MachineDevice;

  constructor() {
    const scaleSays = () => this.#scaleSays;
    const step = () => this.#scale.step;
    this.scale = {
      name: 'stand-in scale',
      get reading() {
        return scaleSays();
      },
      get step() {
        return step();
      },
      tare: () => this.#weigh(tare(this.#scale)),
    };
    const device = <R>(name: string, says: () => R | undefined) => ({
      name,
      get reading() {
        return says();
      },
    });
    this.probe = device('stand-in probe', () => this.#probeSays);
    this.room = device('stand-in room sensor', () => this.#roomSays);
    this.machine = device('stand-in bread machine', () => this.#machineSays);
  }

  /** What it weighs, and all else of it: for its drawer. */
  get lies(): Scale {
    return this.#scale;
  }
  get hasMachine(): boolean {
    return this.#machine !== undefined;
  }
  get hasPower(): boolean {
    return this.#machine?.power ?? true;
  }

  /** Switches all of them on, or off. */
  turn(on: boolean): void {
    this.on = on;
    clearInterval(this.#timer);
    if (!on) return;
    this.#scale = scaleLeft() ?? this.#scale;
    this.#timer = setInterval(() => this.later(tick), tick);
  }

  /** So many milliseconds pass. */
  later(ms: number): void {
    const passed = ms * this.speed;
    this.#scale = scaleLater(this.#scale, passed);
    this.#probe = probeLater(this.#probe, passed);
    this.#room = roomLater(this.#room, passed);
    if (this.#machine) this.#machine = machineLater(this.#machine, passed);
    if (this.#scale.pouring !== 0) this.#keep();
  }

  #weigh(scale: Scale): void {
    this.#scale = scale;
    this.#keep();
  }
  #keep(): void {
    try {
      sessionStorage.setItem(shelf, JSON.stringify(this.#scale));
    } catch {
      // A browser that keeps nothing forgets what lay there.
    }
  }

  put(grams: number): void {
    this.#weigh(putOn(this.#scale, grams));
  }
  pour(gramsASecond: number): void {
    this.#weigh(pour(this.#scale, gramsASecond));
  }
  lift(): void {
    this.#weigh(lift(this.#scale));
  }
  clear(): void {
    this.#weigh({ ...this.#scale, load: 0, lifted: undefined, pouring: 0 });
  }
  set(settings: Partial<Pick<Scale, 'step' | 'drift'>>): void {
    this.#weigh({ ...this.#scale, ...settings });
  }
  putInto(celsius: number): void {
    this.#probe = putInto(this.#probe, celsius);
  }
  airIs(celsius: number, humidity: number): void {
    this.#room = airIs(this.#room, { celsius, humidity });
  }
  run(programme: Programme, shift = 0, delay = 0): void {
    this.#machine = machineStandIn(programme, shift, delay);
  }
  power(on: boolean): void {
    if (this.#machine) this.#machine = power(this.#machine, on);
  }
}

export const standIns = new StandIns();
