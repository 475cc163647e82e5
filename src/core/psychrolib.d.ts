/** The part of psychrolib (a reference library for tests) that is used; it ships without types. */
declare module 'psychrolib' {
  interface Psychrolib {
    SI: number;
    SetUnitSystem(system: number): void;
    GetSatVapPres(temperatureC: number): number;
    GetTDewPointFromRelHum(temperatureC: number, relativeHumidity: number): number;
    GetHumRatioFromRelHum(temperatureC: number, relativeHumidity: number, pressurePa: number): number;
  }
  const psychrolib: Psychrolib;
  export default psychrolib;
}
