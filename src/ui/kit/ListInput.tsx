import { useState } from 'react';
import { FlatList } from 'react-native';
import { Field } from '../components/Field';
import { ListRow } from '../components/ListRow';
import { makeStyles } from '../components/useStyles';
import { Body, Soft } from '../components/Words';
import { radius, space, stroke } from '../theme/tokens';
import { InputButton } from './InputButton';

interface Props {
  label: string;
  choices: readonly { value: string; title: string }[];
  value: string;
  onChange: (value: string) => void;
  /** What is sought among them: "a time zone". */
  sought: string;
  problem?: string | undefined;
  hint?: string | undefined;
}

/** One of many, sought by a part of its name in a list that opens under it. */
export function ListInput({ label, choices, value, onChange, sought, problem, hint }: Props) {
  const styles = useStyles();
  const [isOpen, setOpen] = useState(false);
  const [text, setText] = useState('');
  const wanted = text.trim().toLowerCase();
  const found = choices.filter(({ title }) => title.toLowerCase().includes(wanted));
  return (
    <InputButton
      {...{ label, isOpen, problem, hint }}
      words={choices.find((each) => each.value === value)?.title ?? (value || 'choose')}
      isChosen={value !== ''}
      icon="Search"
      onPress={() => setOpen(!isOpen)}
    >
      <Field label={`Find ${sought}`} value={text} onChange={setText} />
      <FlatList
        style={styles.list}
        data={found}
        keyExtractor={(each) => each.value}
        initialNumToRender={12}
        keyboardShouldPersistTaps="handled"
        ListEmptyComponent={<Soft style={styles.none}>Nothing of that name.</Soft>}
        renderItem={({ item }) => (
          <ListRow
            label={item.title}
            isChosen={item.value === value}
            onPress={() => {
              onChange(item.value);
              setOpen(false);
            }}
          >
            <Body>{item.title}</Body>
          </ListRow>
        )}
      />
    </InputButton>
  );
}

const useStyles = makeStyles((theme) => ({
  list: {
    maxHeight: 260,
    borderWidth: stroke.thin,
    borderColor: theme.colors.line,
    borderRadius: radius.s,
    paddingHorizontal: space.l,
    backgroundColor: theme.colors.raised,
  },
  none: { padding: space.m },
}));
