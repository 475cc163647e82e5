import { routes, type EndpointName } from '@/contract/routes';
import corpus from '../../fuzz/corpus.json';

/** One request of the walk that gives the examples. A `$name` stands for what an earlier reply said. */
export interface Step {
  operation: EndpointName;
  params?: Record<string, string>;
  query?: Record<string, string>;
  body?: unknown;
  /** Names for what the reply says, by its place in it: `resident.id`. */
  names?: Record<string, string>;
  /** A token that goes with it. */
  bearer?: string;
}

const step = (operation: EndpointName, more: Omit<Step, 'operation'> = {}): Step => ({ operation, ...more });
const of = (id: string) => ({ params: { id } });

const BOX = { shape: 'box', lengthMm: 280, widthMm: 200, heightMm: 160, lid: 'vented', lidFit: 'click' };
const VENTS = ['left', 'right'].map((side) => ({ side, shape: 'hole', count: 6, diameterMm: 3 }));
const VIAL = { shape: 'cylinder', diameterMm: 50, heightMm: 90, lid: 'solid', vents: [] };
const TAPE = { form: 'tape', widthMm: 62, heightMm: 35 };
/** A life as another house gave it. */
const LIFE = {
  ...{ format: 'verdant-burrow-life', version: 1, on: '2026-03-14', forebears: [] },
  resident: {
    ...{ id: '44444444-4444-4444-8444-444444444444', scientificName: 'Grammostola pulchra', kind: 'ground-tarantula' },
    ...{ called: 'Pip', commonName: null, stage: 'juvenile', sex: 'unknown', form: 'single', legSpanMm: 40 },
    ...{ bornOn: null, batch: null, source: null, permit: null, motherId: null, fatherId: null, outOfId: null },
  },
  entries: [
    {
      ...{ id: '55555555-5555-4555-8555-555555555555', kind: 'taken-in', on: '2026-01-14', keeper: null, note: null },
      ...{ residentId: '44444444-4444-4444-8444-444444444444', at: '2026-01-14T18:00:00.000Z', undoneAt: null },
      ...{ homeId: '66666666-6666-4666-8666-666666666666', data: { stage: 'juvenile', legSpanMm: 40 } },
    },
  ],
};
const PASSWORD = 'seven damp isopods';

/** A house from its first shelf on, until somebody keeps its door. */
const RECORDS: Step[] = [
  step('health'),
  step('layExample'),
  step('dropExample'),
  step('access'),
  step('house'),
  step('changeHouse', { body: { hemisphere: 'north' } }),
  step('addShelf', { body: { room: 'Back room', name: 'Left shelf', loadLimitKg: 40 }, names: { shelf: 'shelf.id' } }),
  step('addShelves', { body: { room: 'Back room', names: ['Middle shelf', 'Right shelf'] } }),
  step('changeShelf', { ...of('$shelf'), body: { loadLimitKg: 45.5 } }),
  step('shelves'),
  step('boxSizes'),
  step('mixes'),
  step('ground', { query: { most: '2', find: 'coir' } }),
  step('materials'),
  step('changeMaterial', {
    params: { materialId: 'coir' },
    body: { looseDensityGPerL: 100, waterHeldMlPerL: 500 },
  }),
  step('resetMaterial', { params: { materialId: 'coir' } }),
  step('profiles'),
  step('profile', { params: { profileId: 'ground-tarantula' } }),
  step('species'),
  step('addHome', {
    body: { code: 'A1', shelfId: '$shelf', container: { ...BOX, vents: VENTS }, substrateDepthMm: 90 },
    names: { box: 'home.id' },
  }),
  step('addHome', {
    body: { code: 'A2', shelfId: '$shelf', container: VIAL, substrateDepthMm: 50 },
    names: { vial: 'home.id' },
  }),
  step('copyHome', {
    ...of('$vial'),
    body: { count: 3 },
    names: { copy: 'homes.0.id', other: 'homes.1.id', third: 'homes.2.id' },
  }),
  step('changeHome', { ...of('$vial'), body: { quarantineSince: '2026-03-14' } }),
  step('arrangeShelf', { ...of('$shelf'), body: { homeIds: ['$vial', '$box', '$copy', '$other'] } }),
  step('homes'),
  step('takeIn', {
    body: {
      ...{ scientificName: 'Tliltocatl albopilosus', homeId: '$box', stage: 'juvenile', legSpanMm: 58 },
      ...{ called: 'Soot', sex: 'female', on: '2026-03-01', lastMoultOn: '2026-01-10' },
    },
    names: { soot: 'resident.id' },
  }),
  step('takeIn', {
    body: { scientificName: 'Hierodula membranacea', homeId: '$vial', stage: 'nymph', headCount: 6, bodyLengthMm: 9 },
    names: { mantids: 'resident.id' },
  }),
  step('residents'),
  step('changeResident', { ...of('$soot'), body: { called: 'Soot', permit: 'B 12/2026' } }),
  step('addEntry', {
    body: { kind: 'offered', residentId: '$soot', dishes: [{ food: 'field-cricket-medium', count: 2, massG: 0.4 }] },
    names: { offer: 'entry.id' },
  }),
  step('addEntries', {
    body: {
      entries: [
        { kind: 'eaten', residentId: '$soot', answers: 'meal $offer' },
        { kind: 'looked', residentId: '$soot', note: 'Digs at the back' },
      ],
    },
    names: { eaten: 'entries.0.id', looked: 'entries.1.id' },
  }),
  step('history', of('$soot')),
  step('mendEntry', { ...of('$looked'), body: { note: 'Digs at the front' }, names: { mended: 'entry.id' } }),
  step('entryVersions', of('$mended')),
  step('undoEntry', of('$mended')),
  step('takenBackEntries', of('$soot')),
  step('restoreEntry', of('$mended')),
  step('replayEntries', {
    body: {
      sentAt: '2026-03-14T18:00:00.000Z',
      acts: [
        {
          ...{ id: '11111111-1111-4111-8111-111111111111', madeAt: '2026-03-14T17:55:00.000Z', heardOn: '2026-03-14' },
          entries: [{ kind: 'looked', residentId: '$soot', id: '22222222-2222-4222-8222-222222222222' }],
        },
      ],
    },
  }),
  step('undoEntries', { body: { ids: ['22222222-2222-4222-8222-222222222222'] } }),
  step('round'),
  step('changes'),
  step('takeIn', {
    body: { scientificName: 'Porcellio scaber', homeId: '$copy', stage: 'adult', headCount: 40, bodyLengthMm: 12 },
    names: { isopods: 'resident.id' },
  }),
  step('partResident', {
    ...of('$isopods'),
    body: { count: 12, homeId: '$third', stage: 'adult' },
    names: { parted: 'resident.id' },
  }),
  step('joinResident', { ...of('$parted'), body: { otherId: '$isopods' } }),
  step('residentBatch', of('$mantids')),
  step('goneResidents'),
  step('moultFacts'),
  step('residentMoult', of('$soot')),
  step('feedingHistory', of('$soot')),
  step('handling', of('$soot')),
  step('residentTrouble', of('$soot')),
  step('lineage', of('$soot')),
  step('life', of('$soot')),
  step('takeIn', {
    body: { scientificName: 'Messor barbarus', homeId: '$other', stage: 'adult', headCount: 40 },
    names: { ants: 'resident.id' },
  }),
  step('residentColony', of('$ants')),
  step('residentRest', of('$ants')),
  step('rests'),
  step('colonies'),
  step('broods'),
  step('scores'),
];

const AIR: Step[] = [
  step('rooms', { names: { room: 'rooms.0.id' } }),
  step('changeRoom', {
    ...of('$room'),
    body: { air: { temperatureC: 23, relativeHumidityPct: 45, draughtMS: 0.1 } },
  }),
  step('homeAir', of('$box')),
  step('addProbe', {
    body: { name: 'Air of A1', kind: 'device', place: 'air', homeId: '$box' },
    names: { probe: 'probe.id', token: 'token' },
  }),
  step('sendReadings', {
    ...{ bearer: '$token', body: { temperatureC: 24.1, relativeHumidityPct: 71, at: '2026-03-13T17:00:00.000Z' } },
  }),
  step('renewToken', of('$probe')),
  step('changeProbe', { ...of('$probe'), body: { name: 'Air of A1, front' } }),
  step('probes'),
  step('probeSeries', of('$probe')),
  step('readHome', { ...of('$box'), body: { place: 'scale', massG: 2400 } }),
  step('calibrateHome', of('$box')),
  step('resetCalibration', of('$box')),
  step('beginImport', {
    body: { name: 'Logger', place: 'air', homeId: '$box' },
    names: { import: 'importId' },
  }),
  step('importRows', { ...of('$import'), body: { rows: [[1773400000000, 20.1, 70, null]] } }),
  step('finishImport', of('$import')),
  step('beginImport', { body: { name: 'Given up', place: 'cool', homeId: '$box' }, names: { dropped: 'importId' } }),
  step('dropImport', of('$dropped')),
  step('removeProbe', of('$probe')),
];

const STORE: Step[] = [
  step('larder'),
  step('addStockEntry', {
    body: { item: 'field-cricket-medium', kind: 'bought', amount: 100 },
    names: { stock: 'entry.id' },
  }),
  step('addCulture', {
    body: { called: 'The roach bin', kind: 'dubia-roach', breeders: 60, harvested: 'dubia-roach-medium' },
    names: { culture: 'culture.id' },
  }),
  step('changeCulture', { ...of('$culture'), body: { breeders: 120 } }),
  step('store'),
  step('stockEntries', { query: { item: 'field-cricket-medium' } }),
  step('supplyPlan'),
  step('supplier'),
  step('setSupplier', {
    body: { csv: 'item,pack_size,pack_price,lead_days,handling\nfield-cricket-medium,100,3.5,2,1\n' },
  }),
  step('resetSupplier'),
  step('undoStockEntry', of('$stock')),
  step('removeCulture', of('$culture')),
  step('addPlant', { body: { name: 'Quercus ilex', evergreen: true }, names: { plant: 'plant.id' } }),
  step('removePlant', { params: { plantId: '$plant' } }),
];

const PLANS: Step[] = [
  step('movesPlan', { body: { days: 60, makeRoom: true } }),
  step('seasons'),
  step('addKeeper', {
    body: { name: 'Odalys Fenn', zone: 'Europe/London', walkAt: '19:00' },
    names: { keeper: 'keeper.id' },
  }),
  step('changeKeeper', { ...of('$keeper'), body: { walkAt: '20:30' } }),
  step('setBusyDays', {
    ...of('$keeper'),
    body: {
      calendar:
        'BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:x\r\nBEGIN:VEVENT\r\nUID:1\r\nDTSTART;VALUE=DATE:20260320\r\nDTEND;VALUE=DATE:20260323\r\nSUMMARY:fair\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n',
    },
  }),
  step('renewCalendar', of('$keeper')),
  step('closeCalendar', of('$keeper')),
  step('keepers'),
  step('addAbsence', {
    body: { from: '2026-03-20', until: '2026-03-27', sitter: 'Imre Talsk', call: '01632 960 240' },
    names: { absence: 'absence.id' },
  }),
  step('absences'),
  step('absenceSheet', of('$absence')),
  step('openSitterPage', { ...of('$absence'), names: { page: 'path' } }),
  step('sitterPage', { params: { secret: '$page' } }),
  step('dropAbsence', of('$absence')),
  step('removeKeeper', of('$keeper')),
];

const BOOKS: Step[] = [
  step('handbook'),
  step('writeOwnCard', {
    params: { name: 'Nusquamia ignota' },
    body: { name: 'Nusquamia ignota', profile: 'mantis', grownMm: 44 },
  }),
  step('removeOwnCard', { params: { name: 'Nusquamia ignota' } }),
  step('setEmergency', {
    body: { contacts: [{ who: 'Poison centre', number: '01632 960 240' }], address: '4 Ropewalk, Saltmere' },
  }),
  step('emergency'),
  step('schoolChoices'),
  step('schoolEffect', {
    body: { scope: 'kind', about: 'ground-tarantula', topic: 'openings', school: 'one-cut-out' },
  }),
  step('chooseSchool', { body: { scope: 'kind', about: 'ground-tarantula', topic: 'openings', school: null } }),
  step('trainingCases', { query: { seed: '4' }, names: { case: 'cases.0.id' } }),
  step('addTrainingAnswer', {
    body: { id: '33333333-3333-4333-8333-333333333333', keeper: 'Odalys Fenn', kind: 'fit', isRight: true },
  }),
  step('training'),
  step('labels'),
  step('drawnLabels', { body: { about: ['$soot'], stock: TAPE, address: 'http://burrow.local:4870' } }),
  step('printLabels', {
    body: { about: ['$soot'], stock: TAPE, address: 'http://burrow.local:4870', wentTo: 'file' },
    names: { print: 'print.id' },
  }),
  step('undoLabelPrint', of('$print')),
  step('labelPrinter'),
  step('bringList', {
    body: {
      ...{ kind: 'boxes', name: 'boxes.csv' },
      rows: [{ code: 'L1', room: 'Loft', shelf: 'Top shelf', container: VIAL, substrateDepthMm: 40 }],
    },
    names: { list: 'listId' },
  }),
  step('lists'),
  step('undoList', of('$list')),
  step('backups'),
];

/** What takes things away, at the end. */
const ENDS: Step[] = [
  step('removeHomePhoto', of('$box')),
  step('setHomePhoto', { ...of('$box'), body: { jpegBase64: '$jpeg' } }),
  step('addResidentPhoto', { ...of('$soot'), body: { jpegBase64: '$jpeg', note: 'On its bark' } }),
  step('addHome', {
    body: { code: 'Z9', shelfId: '$shelf', container: VIAL, substrateDepthMm: 30 },
    names: { spare: 'home.id' },
  }),
  step('addProfile', { body: '$ownKind' }),
  step('changeProfile', { params: { profileId: 'isopods-of-ours' }, body: '$ownKind' }),
  step('removeProfile', { params: { profileId: 'isopods-of-ours' } }),
  step('takeInLife', { body: { life: LIFE, homeId: '$spare' } }),
  step('addHome', {
    body: { code: 'Z8', shelfId: '$shelf', container: VIAL, substrateDepthMm: 30 },
    names: { empty: 'home.id' },
  }),
  step('removeHome', of('$empty')),
];

/** Who comes in: last, for from then on nobody is asked who has not signed in. */
const ACCESS: Step[] = [
  step('setUp', { body: { name: 'Odalys Fenn', password: PASSWORD } }),
  step('stayAwake'),
  step('people'),
  step('addPerson', {
    body: { name: 'Imre Talsk', role: 'helper', password: 'nine dry scorpions' },
    names: { person: 'person.id' },
  }),
  step('changePerson', { ...of('$person'), body: { role: 'reader' } }),
  step('beginPairing', { ...of('$person'), names: { secret: 'address' } }),
  step('changeOwnAccess', { body: { pin: '2468', lockAfterMin: 30 } }),
  step('ownPasskeys'),
  step('accessLog'),
  step('pairPhone', { body: { secret: '$secret' } }),
  step('signIn', { body: { name: 'Odalys Fenn', password: PASSWORD } }),
  step('lockSession'),
  step('unlockSession', { body: { name: 'Odalys Fenn', pin: '2468' } }),
  step('removePerson', of('$person')),
  step('signOut'),
  step('signIn', { body: { name: 'Odalys Fenn', password: PASSWORD } }),
  step('sessions', { names: { session: 'sessions.0.id' } }),
  step('endSession', of('$session')),
];

/** Each engine, asked what it was once asked first. */
const ENGINES: Step[] = Object.entries(corpus as Record<string, { body?: unknown }[]>).flatMap(([name, [asked]]) =>
  routes[name as EndpointName]?.path.startsWith('/api/compute/')
    ? [step(name as EndpointName, { body: asked?.body })]
    : [],
);

export const STEPS: readonly Step[] = [
  ...RECORDS,
  ...AIR,
  ...STORE,
  ...PLANS,
  ...BOOKS,
  ...ENGINES,
  ...ENDS,
  ...ACCESS,
];
