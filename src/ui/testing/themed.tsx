import { ThemeProvider } from '@rneui/themed/dist/config';
import { render } from '@testing-library/react';
import type { ReactElement } from 'react';
import { themeFor } from '../theme/theme';

/** Renders a piece of the interface under its theme. */
export function renderThemed(element: ReactElement) {
  return render(<ThemeProvider theme={themeFor('day')}>{element}</ThemeProvider>);
}
