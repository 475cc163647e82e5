import { useState } from 'react';
import { FlatList } from 'react-native';
import { Icon } from '../components/Icon';
import { Tappable } from '../components/Tappable';
import { makeStyles } from '../components/useStyles';
import { Body, Soft } from '../components/Words';
import { space, stroke, target } from '../theme/tokens';
import { InputButton } from './InputButton';
import { SearchField } from './SearchField';
import { Sheet } from './Sheet';

interface Props {
  label: string;
  choices: readonly { value: string; title: string }[];
  value: string;
  onChange: (value: string) => void;
  problem?: string | undefined;
  hint?: string | undefined;
  /** Its label stands over it already. */
  isNamedAbove?: boolean;
}

/** As many as are seen at once; more are sought by a part of their name. Chosen here */
const MOST_SEEN = 12;

/** One of many, in a list that comes up over the page. */
export function ListInput({ label, choices, value, onChange, isNamedAbove = false, ...rest }: Props) {
  const styles = useStyles();
  const [isOpen, setOpen] = useState(false);
  const [text, setText] = useState('');
  const wanted = text.trim().toLowerCase();
  const found = choices.filter(({ title }) => title.toLowerCase().includes(wanted));
  return (
    <InputButton
      {...{ label, isOpen, isNamedAbove, ...rest }}
      words={choices.find((each) => each.value === value)?.title ?? (value || 'choose')}
      isChosen={choices.some((each) => each.value === value)}
      icon="ChevronDown"
      onPress={() => {
        setText('');
        setOpen(true);
      }}
    >
      <Sheet title={label} onClose={() => setOpen(false)}>
        {choices.length > MOST_SEEN ? <SearchField label={`Find in ${label}`} value={text} onChange={setText} /> : null}
        <FlatList
          style={styles.list}
          role="radiogroup"
          aria-label={label}
          data={found}
          keyExtractor={(each) => each.value}
          initialNumToRender={MOST_SEEN}
          keyboardShouldPersistTaps="handled"
          ListEmptyComponent={<Soft style={styles.none}>Nothing of that name.</Soft>}
          renderItem={({ item }) => (
            <Tappable
              role="radio"
              aria-label={item.title}
              aria-checked={item.value === value}
              style={styles.row}
              onPress={() => {
                onChange(item.value);
                setOpen(false);
              }}
            >
              <Body style={styles.title}>{item.title}</Body>
              {item.value === value ? <Icon name="Check" size={20} /> : null}
            </Tappable>
          )}
        />
      </Sheet>
    </InputButton>
  );
}

const useStyles = makeStyles((theme) => ({
  list: { maxHeight: '60vh' as never },
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    minHeight: target + space.xs,
    borderBottomWidth: stroke.thin,
    borderBottomColor: theme.colors.line,
  },
  title: { flex: 1 },
  none: { padding: space.m },
}));
