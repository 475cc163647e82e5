import { useState } from 'react';
import type { LayoutChangeEvent } from 'react-native';

/** How wide the place of a chart is; 0 until it is laid out. px */
export function useWidth() {
  const [width, setWidth] = useState(0);
  return { width, onLayout: (event: LayoutChangeEvent) => setWidth(event.nativeEvent.layout.width) };
}
