import { View } from 'react-native';
import { holesOf, type Holes, type TriedAir } from '@/client/homeAir';
import type { Container, WallSide } from '@/core/housing/container';
import { Choices } from '../kit/Choices';
import { Slider } from '../kit/Slider';
import { Soft } from '../components/Words';
import { space } from '../theme/tokens';
import { useTemperature } from '@/words/temperature';
import { useLength } from '@/words/useLength';

interface Props {
  container: Container;
  tried: TriedAir;
  floorCm2: number;
  hasSoil: boolean;
  onChange: (tried: TriedAir) => void;
}

const SIDES: Record<'facing' | 'four' | 'front-back', WallSide[]> = {
  facing: ['left', 'right'],
  'front-back': ['front', 'back'],
  four: ['front', 'back', 'left', 'right'],
};

const patternOf = ({ sides }: Holes): keyof typeof SIDES =>
  sides.length >= 3 ? 'four' : sides.includes('front') || sides.includes('back') ? 'front-back' : 'facing';

/** What can be changed about the air and the water of a box, each to be tried. */
export function AirSliders({ container, tried, floorCm2, hasSoil, onChange }: Props) {
  const length = useLength();
  const temperature = useTemperature();
  const holes = tried.holes ?? holesOf(container);
  const set = (change: Partial<TriedAir>) => onChange({ ...tried, ...change });
  const setHoles = (change: Partial<Holes>) => set({ holes: { ...holes, sides: SIDES[patternOf(holes)], ...change } });
  const setRoom = (change: Partial<TriedAir['room']>) => set({ room: { ...tried.room, ...change } });
  return (
    <View style={{ gap: space.s, marginTop: space.s }}>
      <Choices
        label="Openings"
        choices={[
          { value: 'as-it-is', title: 'as they are' },
          { value: 'facing', title: 'left and right' },
          { value: 'front-back', title: 'front and back' },
          { value: 'four', title: 'all round' },
        ]}
        value={tried.holes ? patternOf(tried.holes) : 'as-it-is'}
        onChange={(value) =>
          set({ holes: value === 'as-it-is' ? null : { ...holes, perSide: holes.perSide || 4, sides: SIDES[value] } })
        }
      />
      {tried.holes ? (
        <>
          <Slider
            label="Holes in each side"
            words={String(holes.perSide)}
            value={holes.perSide}
            min={0}
            max={40}
            step={1}
            onChange={(perSide) => setHoles({ perSide })}
          />
          <Slider
            label={holes.meshApertureMm === null ? 'Width of a hole' : 'Width of a meshed hole'}
            words={length.long(holes.diameterMm)}
            value={holes.diameterMm}
            min={1}
            max={holes.meshApertureMm === null ? 20 : 60}
            step={0.5}
            onChange={(diameterMm) => setHoles({ diameterMm })}
          />
        </>
      ) : null}
      <Slider
        label="Open water"
        words={`${tried.dishAreaCm2} cm² of ${Math.round(floorCm2)}`}
        value={tried.dishAreaCm2}
        min={0}
        max={Math.max(10, Math.round(floorCm2 / 3))}
        step={1}
        onChange={(dishAreaCm2) => set({ dishAreaCm2 })}
      />
      {hasSoil ? (
        <>
          <Slider
            label="Litter on top"
            words={tried.litterMm === 0 ? 'none' : length.long(tried.litterMm)}
            value={tried.litterMm}
            min={0}
            max={60}
            step={5}
            onChange={(litterMm) => set({ litterMm })}
          />
          <Slider
            label="Damp part of the floor"
            words={`${tried.dampSharePct} %`}
            value={tried.dampSharePct}
            min={10}
            max={100}
            step={5}
            onChange={(dampSharePct) => set({ dampSharePct })}
          />
        </>
      ) : null}
      <Slider
        label="Room, warmth"
        words={temperature.long(tried.room.temperatureC)}
        value={tried.room.temperatureC}
        min={10}
        max={32}
        step={0.5}
        onChange={(temperatureC) => setRoom({ temperatureC })}
      />
      <Slider
        label="Room, humidity"
        words={`${Math.round(tried.room.relativeHumidityPct)} %`}
        value={tried.room.relativeHumidityPct}
        min={15}
        max={90}
        step={1}
        onChange={(relativeHumidityPct) => setRoom({ relativeHumidityPct })}
      />
      <Slider
        label="Draught about the box"
        words={`${tried.room.draughtMS.toFixed(2)} m/s`}
        value={tried.room.draughtMS}
        min={0}
        max={0.5}
        step={0.02}
        onChange={(draughtMS) => setRoom({ draughtMS })}
      />
      <Soft>Draught: 0.1 m/s on a shelf in a lived-in room, 0.3 under a fan or an open window.</Soft>
    </View>
  );
}
