import { partsOf } from '../measure/nameParts';
import type { Day } from '../measure/day';

/** An animal, a group or a colony, here or gone, as an archive of natural history tells it. */
export interface Specimen {
  id: string;
  scientificName: string;
  commonName: string | null;
  called: string | null;
  sex: 'unknown' | 'female' | 'male';
  stage: string;
  headCount?: number | undefined;
  box: string | null;
  source: string | null;
  permit: string | null;
  motherId: string | null;
  fatherId: string | null;
}

/** What happened to one: it hatched, came, died or left. */
export interface LifeEvent {
  id: string;
  kind: 'birth' | 'arrival' | 'death' | 'departure';
  organismId: string;
  on: Day;
  by: string | null;
  remarks: string | null;
  /** Of a group, how many it was about. */
  count?: number | undefined;
}

export interface Measured {
  organismId: string;
  on: Day;
  what: 'leg span' | 'body length' | 'carapace width' | 'mass' | 'instar' | 'head count';
  value: number;
}

/** A table of an archive: its terms in the order of its columns, and its rows. */
export interface ArchiveTable {
  file: string;
  rowType: string;
  /** The term of each column but the first, which is the id of the event. */
  terms: string[];
  rows: string[][];
}

const DWC = 'http://rs.tdwg.org/dwc/terms/';
const EVENT_TYPE = `${DWC}Event`;
const OCCURRENCE_TYPE = `${DWC}Occurrence`;
const MEASUREMENT_TYPE = `${DWC}MeasurementOrFact`;
const UNITS: Record<Measured['what'], string> = {
  ...{ 'leg span': 'mm', 'body length': 'mm', 'carapace width': 'mm', mass: 'g' },
  ...{ instar: '', 'head count': 'individuals' },
};
const DISPOSITIONS = { birth: '', arrival: 'in collection', death: 'deceased', departure: 'passed on' } as const;

const terms = (names: string) => names.split(' ').map((name) => `${DWC}${name}`);
const urn = (id: string | null) => (id === null ? '' : `urn:uuid:${id}`);

/**
 * A living collection with its births, arrivals, deaths and departures as the tables of a Darwin Core Archive: events are its core,
 * each with who it was about, and arrivals with what was measured since.
 * @source Darwin Core text guide and quick reference of terms, TDWG; star schema of an Event core. From memory
 */
export function darwinCore(
  specimens: readonly Specimen[],
  events: readonly LifeEvent[],
  measured: readonly Measured[],
): { core: ArchiveTable; extensions: ArchiveTable[] } {
  const byId = new Map(specimens.map((each) => [each.id, each]));
  const known = events.flatMap((event) => {
    const specimen = byId.get(event.organismId);
    return specimen ? [{ event, specimen }] : [];
  });
  const arrivals = new Map(
    known.filter(({ event }) => event.kind === 'arrival').map(({ event }) => [event.organismId, event]),
  );
  return {
    core: {
      ...{ file: 'event.txt', rowType: EVENT_TYPE },
      terms: terms('eventType eventDate eventRemarks samplingProtocol'),
      rows: known.map(({ event: { id, kind, on, remarks } }) => [
        urn(id),
        kind,
        on,
        remarks ?? '',
        'record of the keeper',
      ]),
    },
    extensions: [
      {
        ...{ file: 'occurrence.txt', rowType: OCCURRENCE_TYPE },
        terms: terms(
          'occurrenceID basisOfRecord occurrenceStatus organismID organismName catalogNumber scientificName scientificNameAuthorship genus specificEpithet infraspecificEpithet taxonRank vernacularName sex lifeStage individualCount recordedBy disposition associatedOrganisms degreeOfEstablishment occurrenceRemarks',
        ),
        rows: known.map(({ event, specimen }) => occurrenceOf(event, specimen)),
      },
      {
        ...{ file: 'measurementorfact.txt', rowType: MEASUREMENT_TYPE },
        terms: terms('measurementType measurementValue measurementUnit measurementDeterminedDate'),
        rows: measured.flatMap(({ organismId, on, what, value }) => {
          const arrival = arrivals.get(organismId);
          return arrival ? [[urn(arrival.id), what, String(value), UNITS[what], on]] : [];
        }),
      },
    ],
  };
}

function occurrenceOf({ id, kind, by, count }: LifeEvent, specimen: Specimen): string[] {
  const { scientificName, called, commonName, sex, stage, headCount, box, source, permit } = specimen;
  const { words, author } = partsOf(scientificName);
  const [genus = '', epithet = '', infra = ''] = words.filter((word) => !word.startsWith('('));
  const isNamed = /^[a-z][a-z-]+$/.test(epithet);
  const rank = !isNamed ? 'genus' : /^[a-z][a-z-]+$/.test(infra) ? 'subspecies' : 'species';
  const parents = [
    ...(specimen.motherId === null ? [] : [`mother: ${urn(specimen.motherId)}`]),
    ...(specimen.fatherId === null ? [] : [`father: ${urn(specimen.fatherId)}`]),
  ];
  const remarks = [source === null ? '' : `from ${source}`, permit === null ? '' : `permit ${permit}`];
  return [
    ...[urn(id), `${urn(id)}:occurrence`, 'LivingSpecimen', 'present', urn(specimen.id), called ?? '', box ?? ''],
    ...[scientificName, author ?? '', genus, isNamed ? epithet : ''],
    ...[
      rank === 'subspecies' ? infra : '',
      rank,
      commonName ?? '',
      sex === 'unknown' ? '' : sex,
      kind === 'birth' ? '' : stage,
    ],
    ...[String(count ?? headCount ?? 1), by ?? '', DISPOSITIONS[kind], parents.join(' | '), 'captive'],
    remarks.filter((part) => part !== '').join('; '),
  ];
}

const escaped = (text: string) =>
  text
    .replace(/[&<>"']/g, (letter) => `&#${letter.charCodeAt(0)};`)
    .replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f]/g, '');

/** A table as a file of an archive: tabs between its columns, its terms in the first line. */
export const archiveText = ({ terms: all, rows }: ArchiveTable): string =>
  [['eventID', ...all.map((term) => term.slice(DWC.length))], ...rows]
    .map((row) => row.map((cell) => cell.replace(/[\t\r\n]+/g, ' ')).join('\t'))
    .join('\n') + '\n';

/** What the files of an archive hold, column by column. @source Darwin Core text guide, TDWG. From memory */
export function metaXml({ core, extensions }: { core: ArchiveTable; extensions: readonly ArchiveTable[] }): string {
  const table = ({ file, rowType, terms: all }: ArchiveTable, tag: 'core' | 'extension') => `
  <${tag} encoding="UTF-8" fieldsTerminatedBy="\\t" linesTerminatedBy="\\n" fieldsEnclosedBy="" ignoreHeaderLines="1" rowType="${rowType}">
    <files><location>${file}</location></files>
    <${tag === 'core' ? 'id' : 'coreid'} index="0"/>${all.map((term, index) => `\n    <field index="${index + 1}" term="${term}"/>`).join('')}
  </${tag}>`;
  return `<?xml version="1.0" encoding="UTF-8"?>
<archive xmlns="http://rs.tdwg.org/dwc/text/" metadata="eml.xml">${table(core, 'core')}${extensions.map((each) => table(each, 'extension')).join('')}
</archive>
`;
}

/** What the archive is, and whom to ask. @source EML 2.1.1 with what an archive of occurrences has to tell. From memory */
export function emlXml({
  id,
  on,
  keepers,
  species,
}: {
  id: string;
  on: Day;
  keepers: readonly string[];
  species: number;
}): string {
  const names = keepers.length === 0 ? ['The keepers of the collection'] : keepers;
  const person = (tag: string, name: string) => `
    <${tag}><individualName><surName>${escaped(name)}</surName></individualName></${tag}>`;
  const [first = ''] = names;
  return `<?xml version="1.0" encoding="UTF-8"?>
<eml:eml xmlns:eml="eml://ecoinformatics.org/eml-2.1.1" xmlns:xsi="http://www.w3.org/2001/XMLSchema-instance" packageId="urn:uuid:${id}" system="verdant-burrow" scope="system" xml:lang="en">
  <dataset>
    <title xml:lang="en">A living collection of invertebrates</title>${names.map((name) => person('creator', name)).join('')}${person('metadataProvider', first)}
    <pubDate>${on}</pubDate>
    <language>en</language>
    <abstract><para>Animals kept in a private living collection: ${species} species, with their births, arrivals, deaths and departures.</para></abstract>
    <intellectualRights><para>Whoever wants to use these records asks the keepers first.</para></intellectualRights>${person('contact', first)}
  </dataset>
</eml:eml>
`;
}
