/** Stands in for the icon fonts that React Native Elements would load: this app draws its icons itself. */
export default function NoIconFont() {
  return null;
}
