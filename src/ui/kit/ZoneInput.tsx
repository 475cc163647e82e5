import { useMemo } from 'react';
import { ListInput } from './ListInput';

type Props = Pick<React.ComponentProps<typeof ListInput>, 'label' | 'value' | 'onChange' | 'problem' | 'hint'>;

/** A time zone, as every browser knows them. */
export function ZoneInput(props: Props) {
  const zones = useMemo(() => ['UTC', ...Intl.supportedValuesOf('timeZone').filter((zone) => zone !== 'UTC')], []);
  const choices = zones.map((zone) => ({ value: zone, title: zone.replaceAll('_', ' ') }));
  return <ListInput {...props} choices={choices} />;
}
