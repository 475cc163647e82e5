import { createElement, useEffect, useRef, useState } from 'react';
import { View } from 'react-native';
import { CameraFailed, openCamera, readCodes, type NoCamera } from '@/client/camera';
import { NO_CAMERA_WORDS } from '@/words/scan';
import { makeStyles } from '../components/useStyles';
import { Body, Soft } from '../components/Words';
import { space } from '../theme/tokens';

/** What the camera sees, and each code in it as it is read. The picture stays on this device. */
export function CameraView({ onCode }: { onCode: (text: string) => void }) {
  const styles = useStyles();
  const video = useRef<HTMLVideoElement | null>(null);
  const told = useRef(onCode);
  const [problem, setProblem] = useState<NoCamera>();
  useEffect(() => {
    told.current = onCode;
  }, [onCode]);
  useEffect(() => {
    let isHere = true;
    let end = () => {};
    openCamera().then(
      (stream) => {
        const stop = () => stream.getTracks().forEach((track) => track.stop());
        if (!isHere || !video.current) return stop();
        video.current.srcObject = stream;
        void video.current.play();
        const reading = readCodes(video.current, (text) => told.current(text));
        end = () => {
          reading();
          stop();
        };
      },
      (error: unknown) => isHere && setProblem(error instanceof CameraFailed ? error.why : 'none'),
    );
    return () => {
      isHere = false;
      end();
    };
  }, []);
  if (problem !== undefined) return <Body role="alert">{NO_CAMERA_WORDS[problem]}</Body>;
  return (
    <View style={{ gap: space.xs }}>
      <View style={styles.frame}>
        {createElement('video', {
          ref: video,
          muted: true,
          playsInline: true,
          'aria-label': 'What the camera sees',
          style: { width: '100%', height: '100%', objectFit: 'cover', display: 'block' },
        })}
      </View>
      <Soft>Hold the code of a box before the camera.</Soft>
    </View>
  );
}

const useStyles = makeStyles((theme) => ({
  frame: { width: '100%', aspectRatio: 4 / 3, maxHeight: 320, backgroundColor: theme.colors.bar, overflow: 'hidden' },
}));
