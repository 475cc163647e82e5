import { forecastMoisture, redampBand } from '@/core/climate/forecast';

/** How a box dries, and the band of days until it is damped again. In a thread: months in steps of minutes take a tenth of a second. */
export function drying(...[question, wishes]: Parameters<typeof forecastMoisture>) {
  const forecast = forecastMoisture(question, wishes);
  return { forecast, band: redampBand(question, forecast.dampWetnessMin, forecast.daysToRedamp) };
}
