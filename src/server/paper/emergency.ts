import type { EmergencyCard } from '@/contract/handbook';
import { shippedSpecies } from '@/contract/shipped';
import { findByName } from '@/core/profiles/knownNames';
import { whoCanHurt } from '@/core/handbook/whoCanHurt';
import { fullDayWords } from '@/words/days';
import { dangersOfResident } from '../dangers';
import type { HouseToday } from '../house/houseToday';
import type { PaperAsked } from './asked';
import { alert, block, heading, line, nameSpans, type PaperSheet } from './parts';

/** Whom to call, where the house is, and who here can hurt: to hang beside the door. It gives no treatment. */
export function emergencySheet(
  { contacts, address }: EmergencyCard,
  { on, homes, residents }: HouseToday,
  { paper }: PaperAsked,
): PaperSheet {
  const codes = new Map(homes.map(({ id, code }) => [id, code]));
  const hurtful = whoCanHurt(residents, dangersOfResident);
  return {
    ...{ title: 'Emergency card', subtitle: `as of ${fullDayWords(on)}`, paper },
    parts: [
      alert(
        'Bites, stings, hairs or liquid in an eye, trouble breathing, feeling faint: the emergency services or a poison centre at once. Say what animal it was by its scientific name.',
      ),
      heading('Call'),
      ...(contacts.length === 0 ? [line('No numbers are written down yet: write them here.')] : []),
      ...contacts.map(({ who, number }) => ({ as: 'fact' as const, label: who, value: number })),
      ...(address === '' ? [] : [{ as: 'fact' as const, label: 'This house', value: address }]),
      ...(hurtful.length === 0 ? [] : [heading('Who here can hurt')]),
      ...hurtful.map(({ one, hazards, homeIds }) =>
        block(
          { as: 'line', spans: nameSpans(one.scientificName) },
          line(
            [
              findByName(shippedSpecies, one.scientificName)?.commonName ?? one.commonName ?? '',
              hazards.map(({ title }) => title).join(', '),
              homeIds.map((id) => codes.get(id) ?? '').join(', '),
            ]
              .filter((word) => word !== '')
              .join('; '),
            { isSmall: true },
          ),
        ),
      ),
      line('This card gives no treatment. Doctors, poison centres and local rules come before anything written here.', {
        isSmall: true,
      }),
    ],
  };
}
