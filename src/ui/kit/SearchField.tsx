import SearchBar from '@rneui/base/dist/SearchBar/SearchBar-default';
import { View } from 'react-native';
import { Icon } from '../components/Icon';
import { IconButton } from '../components/IconButton';
import { makeStyles, useTheme } from '../components/useStyles';
import { fonts, radius, stroke, target, type } from '../theme/tokens';

interface Props {
  /** What is sought, and where. */
  label: string;
  value: string;
  onChange: (text: string) => void;
}

/** A line to type a part of a name into. */
export function SearchField({ label, value, onChange }: Props) {
  const styles = useStyles();
  const { theme } = useTheme();
  return (
    <SearchBar
      {...({ theme } as object)}
      role="searchbox"
      aria-label={label}
      placeholder={label}
      placeholderTextColor={theme.colors.inkSoft}
      value={value}
      onChangeText={onChange}
      autoCapitalize="none"
      autoCorrect={false}
      searchIcon={<Icon name="Search" size={20} />}
      // One of the library's own is drawn by an icon font, and has no name.
      clearIcon={value === '' ? <View /> : <IconButton label="Clear" icon="X" onPress={() => onChange('')} />}
      containerStyle={styles.all}
      inputContainerStyle={styles.frame}
      inputStyle={styles.text}
    />
  );
}

const useStyles = makeStyles((theme) => ({
  all: { padding: 0, borderTopWidth: 0, borderBottomWidth: 0, backgroundColor: 'transparent' },
  frame: {
    minHeight: target,
    borderWidth: stroke.line,
    borderBottomWidth: stroke.line,
    borderColor: theme.colors.ink,
    borderRadius: radius.s,
    backgroundColor: theme.colors.raised,
  },
  text: { minHeight: target, fontFamily: fonts.text, fontSize: type.strong, color: theme.colors.ink },
}));
