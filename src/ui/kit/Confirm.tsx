import Dialog from '@rneui/themed/dist/Dialog';
import { useEffect, useRef } from 'react';
import { View } from 'react-native';
import { useTheme } from '../components/useStyles';
import { Body, Heading } from '../components/Words';
import { measure, radius, space, stroke } from '../theme/tokens';
import { Button } from './Button';

export interface Question {
  /** What is about to be done, as "Take B3 away?". */
  title: string;
  /** What it takes with it, and what stays. */
  text: string;
  /** The act, as its button says it. */
  act: string;
  run: () => unknown;
}

/** Asks before what cannot be taken back; the focus stands on the way out. */
export default function Confirm({ question, onClose }: { question: Question; onClose: () => void }) {
  const { colors } = useTheme().theme;
  const wayOut = useRef<View>(null);
  useEffect(() => wayOut.current?.focus(), []);
  return (
    <Dialog
      isVisible
      onBackdropPress={onClose}
      pressableProps={{ tabIndex: -1, 'aria-hidden': true }}
      overlayStyle={{
        width: '90%',
        maxWidth: measure.column,
        padding: space.l,
        borderRadius: radius.m,
        borderWidth: stroke.line,
        borderColor: colors.ink,
        backgroundColor: colors.ground,
        boxShadow: 'none',
      }}
      {...({ 'aria-label': question.title } as object)}
    >
      <View ref={wayOut} tabIndex={-1} style={{ gap: space.m, outlineWidth: 0 }}>
        <Heading>{question.title}</Heading>
        <Body>{question.text}</Body>
        <View style={{ flexDirection: 'row', gap: space.s }}>
          <Button grow title="Leave it" onPress={onClose} />
          <Button
            grow
            rank="second"
            title={question.act}
            onPress={() => {
              onClose();
              void question.run();
            }}
          />
        </View>
      </View>
    </Dialog>
  );
}
