export { makeStyles, useTheme } from '@rneui/themed/dist/config';
