/** What practitioners disagree about. */
export const SCHOOL_TOPICS = [
  'air',
  'openings',
  'feeding',
  'aim',
  'litter-food',
  'ant-prey',
  'snail-egg',
  'winter',
] as const;
export type SchoolTopic = (typeof SCHOOL_TOPICS)[number];

/** A way of keeping that practitioners disagree about. `topic` groups the ways that exclude each other. */
export interface School {
  id: string;
  topic: SchoolTopic;
  name: string;
  isDefault?: boolean;
  /** Why those who keep this way do so. */
  why?: string;
}

/** The school that is followed on each topic on which one was chosen. */
export type Schools = { [Topic in SchoolTopic]?: string | undefined };

/** What it takes to tell which school holds: those that a kind knows. */
type HasSchools = { readonly schools: readonly School[] };

/** The school in force on a topic: the keeper's, where this kind knows it, else the kind's own. */
export function schoolOn(profile: HasSchools, topic: SchoolTopic, chosen: string | undefined): string | undefined {
  const isKnown = profile.schools.some((each) => each.topic === topic && each.id === chosen);
  return isKnown ? chosen : defaultSchool(profile, topic);
}

/** The way its home is held to: a choice on air that this kind knows (of a room, not every kind does), else its own. */
export const airSchool = (profile: HasSchools, chosen: Schools | undefined): string | undefined =>
  schoolOn(profile, 'air', chosen?.air);

/** The schools in force of a profile, one for each topic that it knows: chosen ones, and else its own. */
export function schoolsInForce(profile: HasSchools, chosen: Schools): string[] {
  const topics = new Set(profile.schools.map((each) => each.topic));
  return [...topics].flatMap((topic) => schoolOn(profile, topic, chosen[topic]) ?? []);
}

/** The school a profile follows on a topic when the keeper chose none. */
export function defaultSchool(profile: HasSchools, topic: School['topic']): string | undefined {
  const schools = profile.schools.filter((school) => school.topic === topic);
  return (schools.find((school) => school.isDefault) ?? schools[0])?.id;
}
