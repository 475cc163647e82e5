import { shippedBoxSizes, shippedFeeders, shippedFoods } from '@/contract/shipped';
import type { Home, Resident } from '@/contract/records';
import type { ResidentMoult } from '@/contract/growth';
import type { Stop } from '@/contract/round';
import type { JobKind } from '@/core/plan/jobs';
import type { Job } from '@/core/plan/work';
import { control } from '@/server/testing/standingServer';
import { standingAddress } from '@/server/testing/standingServers';
import { lengthWords } from '@/words/lengths';
import { jobTitle } from '@/words/jobs';
import { temperatureWords } from '@/words/temperature';

/** What a server answered, whatever it is. */
export interface Answer {
  status: number;
  // eslint-disable-next-line @typescript-eslint/no-explicit-any -- stories look into answers of every shape
  body: any;
}

/** What is written down about somebody: the fields of an entry. */
type Facts = Record<string, unknown>;
type Who = Pick<Resident, 'id'>;

/** What may be said of a box beside its size. */
export interface BoxFacts {
  soilMm?: number;
  shelf?: string;
  [field: string]: unknown;
}

/** Words as they stand on the screen. */
const NAMES = { feeders: [...shippedFeeders], foods: [...shippedFoods] };
const LENGTH = lengthWords('mm');
const TEMPERATURE = temperatureWords('C');

/**
 * A house on a day of its own, spoken to as the page does: over the HTTP of a real server. It begins with nothing in it.
 * @example const house = await emptyHouse('2026-03-14'); await house.box('A1', 'vial-large');
 */
export class House {
  private readonly shelves = new Map<string, string>();
  private readonly boxes = new Map<string, string>();
  constructor(
    private readonly address: string,
    private cookie = '',
  ) {}

  /** The same house as another browser sees it, in which nobody has signed in yet. */
  elsewhere(): House {
    return new House(this.address);
  }

  async get(path: string): Promise<Answer> {
    return this.ask('GET', path);
  }
  /** An answer that is no JSON, as it is. */
  async text(path: string): Promise<string> {
    return (await fetch(`${this.address}${path}`)).text();
  }
  /** A file, as it is. */
  async bytes(path: string): Promise<Uint8Array> {
    return new Uint8Array(await (await fetch(`${this.address}${path}`)).arrayBuffer());
  }
  async post(path: string, body: unknown): Promise<Answer> {
    return this.ask('POST', path, body);
  }
  /** As a device sends it. */
  async send(path: string, body: object, token: string): Promise<Answer> {
    return this.ask('POST', path, body, { Authorization: `Bearer ${token}` });
  }
  async patch(path: string, body: unknown): Promise<Answer> {
    return this.ask('PATCH', path, body);
  }
  async remove(path: string): Promise<Answer> {
    return this.ask('DELETE', path);
  }
  async put(path: string, body: unknown): Promise<Answer> {
    return this.ask('PUT', path, body);
  }

  /** A shelf; the room it stands in may be said, and what air that room has. */
  async shelf(
    name: string,
    room = 'The room',
    air?: { temperatureC: number; relativeHumidityPct: number },
  ): Promise<string> {
    const { shelf } = this.granted(await this.post('/api/shelves', { name, room }), 201);
    this.shelves.set(name, shelf.id);
    if (air) {
      const { rooms } = this.granted(await this.get('/api/rooms'));
      const { id } = rooms.find((each: { name: string }) => each.name === room);
      this.granted(await this.put(`/api/rooms/${id}`, { air: { ...air, draughtMS: 0.1 } }));
    }
    return shelf.id;
  }

  /** A box, of a size from the list of usual ones or of its own; with a depth of soil in it. */
  async box(code: string, size: string | object, { soilMm = 0, shelf, ...facts }: BoxFacts = {}): Promise<Home> {
    if (this.shelves.size === 0) await this.shelf('Shelf 1');
    const [first] = this.shelves.keys();
    const shelfId = this.shelves.get(shelf ?? first ?? '');
    const usual = shippedBoxSizes.find(({ id }) => id === size)?.container;
    if (typeof size === 'string' && !usual) throw new Error(`There is no usual size of box called ${size}.`);
    const container = usual ?? { shape: 'box', lid: 'solid', vents: [], ...(size as object) };
    const asked = { code, shelfId, container, substrateDepthMm: soilMm, ...facts };
    const { home } = this.granted(await this.post('/api/homes', asked), 201);
    this.boxes.set(code, home.id);
    return home;
  }

  boxId(code: string): string {
    const id = this.boxes.get(code);
    if (id === undefined) throw new Error(`There is no box ${code} in this house.`);
    return id;
  }

  /** Asks to take somebody in under a name as it is typed, and nothing that was not said. */
  async askToTakeIn(scientificName: string, box: string, facts: Facts = {}): Promise<Answer> {
    return this.post('/api/residents', { scientificName, homeId: this.boxId(box), ...facts });
  }

  /** Takes somebody in. `profile` says the kind, as choosing it from the list does. */
  async takeIn(scientificName: string, box: string, facts: Facts): Promise<Resident> {
    return this.granted(await this.askToTakeIn(scientificName, box, facts), 201).resident;
  }

  /** Writes an entry about somebody; refused, the story fails with what was said. */
  async write(kind: string, who: Who, facts: Facts = {}): Promise<{ id: string }> {
    return this.granted(await this.post('/api/entries', { kind, residentId: who.id, ...facts }), 201).entry;
  }

  async hours(hours: number): Promise<void> {
    await control(this.address, 'clock', { hours });
  }
  /** So many days go by, at the same time of day. */
  async days(days: number): Promise<void> {
    await control(this.address, 'clock', { days });
  }
  async today(): Promise<string> {
    return this.granted(await this.get('/api/health')).today;
  }

  async stops(): Promise<Stop[]> {
    return this.granted(await this.get('/api/round')).stops;
  }
  private async stopOf(who: Who): Promise<Stop | undefined> {
    return (await this.stops()).find(({ residentId }) => residentId === who.id);
  }
  /** What the round asks for at somebody's box. */
  async jobs(who: Who): Promise<Job[]> {
    return (await this.stopOf(who))?.jobs ?? [];
  }
  async job(who: Who, kind: JobKind): Promise<Job | undefined> {
    return (await this.jobs(who)).find((job) => job.kind === kind);
  }
  async kinds(who: Who): Promise<JobKind[]> {
    return (await this.jobs(who)).map(({ kind }) => kind);
  }
  /** The round in the words of the screen, box by box. */
  async round(who?: Who): Promise<string[]> {
    const stops = await this.stops();
    const asked = who ? stops.filter(({ residentId }) => residentId === who.id) : stops;
    return asked.flatMap(({ jobs }) => jobs.map((job) => jobTitle(job, LENGTH, NAMES, TEMPERATURE)));
  }
  /** Whether, and why, somebody is to be left alone. */
  async leftAlone(who: Who): Promise<Stop['leaveAlone']> {
    return (await this.stopOf(who))?.leaveAlone ?? null;
  }

  async forecast(who: Who): Promise<ResidentMoult> {
    return this.granted(await this.get(`/api/residents/${who.id}/moult`));
  }
  async resident(who: Who): Promise<Resident> {
    const { residents } = this.granted(await this.get('/api/residents'));
    return residents.find(({ id }: Resident) => id === who.id);
  }
  async homes(): Promise<Home[]> {
    return this.granted(await this.get('/api/homes')).homes;
  }
  /** One box by its code; left out, the first. */
  async home(code?: string): Promise<Home> {
    const found = (await this.homes()).find((each) => code === undefined || each.code === code);
    if (!found) throw new Error(`There is no box ${code ?? ''} in this house.`);
    return found;
  }
  /** The boxes of the house for somebody, best first, with the verdict of each: as the choice of a box ranks them. */
  async ranking(facts: Facts): Promise<{ code: string; verdict: string }[]> {
    const homes = (await this.homes()).map(
      ({ id, code, container, substrateDepthMm, furniture, litterDepthMm, nest, temperatureC }) => ({
        ...{ id, code, container, substrateDepthMm, furniture, litterDepthMm, nest, temperatureC },
      }),
    );
    const { ranking } = this.granted(await this.post('/api/compute/rank-homes', { ...facts, homes }));
    return ranking.map(({ code, verdict }: { code: string; verdict: string }) => ({ code, verdict }));
  }
  /** Everything that is asked of a house, and of some who live in it, and does not answer: its address and status. */
  async silent(...about: Who[]): Promise<string[]> {
    interface Told {
      get?: { responses: Record<string, { content?: object }> };
    }
    const { paths } = this.granted(await this.get('/api/openapi.json')) as { paths: Record<string, Told> };
    const asked = Object.entries(paths).flatMap(([path, { get }]) => {
      // Files, and the stream of events that does not end, are asked for by stories of their own.
      if (!('application/json' in (get?.responses['200']?.content ?? {})) || path.includes('{file}')) return [];
      if (!path.includes('{')) return [path];
      return path.startsWith('/api/residents/{id}') ? about.map(({ id }) => path.replace('{id}', id)) : [];
    });
    const answers: string[] = [];
    for (const path of asked) {
      const { status } = await this.get(path);
      if (status !== 200 && status !== 404) answers.push(`${path} ${status}`);
    }
    return answers;
  }
  /** A device in a box has sent the air of so many hours up to now, an hour apart. */
  async probe(
    code: string,
    hours: number,
    air: { temperatureC: number; relativeHumidityPct: number },
    place = 'air',
  ): Promise<void> {
    const facts = { name: `${place} of ${code}`, kind: 'device', place, homeId: this.boxId(code) };
    const { token } = this.granted(await this.post('/api/probes', facts), 201);
    // A house begins at six in the evening, and whole days go by.
    const now = Date.parse(`${await this.today()}T18:00:00`);
    const readings = Array.from({ length: hours + 1 }, (_, hour) => ({
      ...air,
      // Nothing living stays to the tenth of a degree.
      temperatureC: air.temperatureC + (hour % 2) / 10,
      at: new Date(now - (hours - hour) * 3_600_000).toISOString(),
    }));
    this.granted(await this.ask('POST', '/api/readings', { readings }, { Authorization: `Bearer ${token}` }), 201);
  }
  /** What one engine answers. */
  async compute(engine: string, body: object): Promise<Answer['body']> {
    return this.granted(await this.post(`/api/compute/${engine}`, body));
  }

  /** The body of an answer that was to be granted. @throws with what the server said instead */
  granted({ status, body }: Answer, wanted = 200): Answer['body'] {
    if (status !== wanted) throw new Error(`The server answered ${status}: ${JSON.stringify(body)}`);
    return body;
  }

  /** Asks anything, as it is. */
  async ask(method: string, path: string, body?: unknown, more: Record<string, string> = {}): Promise<Answer> {
    const headers = { 'Content-Type': 'application/json', ...(this.cookie && { Cookie: this.cookie }), ...more };
    const response = await fetch(`${this.address}${path}`, {
      method,
      headers,
      ...(body !== undefined && { body: JSON.stringify(body) }),
    });
    // As a browser does: what is set is sent from then on.
    this.cookie = response.headers.get('set-cookie')?.split(';')[0] ?? this.cookie;
    const text = await response.text();
    return { status: response.status, body: text === '' ? undefined : JSON.parse(text) };
  }
}

/** A house without a shelf, on the evening of a day. */
export async function emptyHouse(day: string): Promise<House> {
  const address = standingAddress();
  // Six in the evening by the clock of the house, whatever its time zone.
  await control(address, 'house', { holds: 'nothing', at: new Date(`${day}T18:00:00`).toISOString() });
  return new House(address);
}
