import { type WeatherFacts } from '#core/weeks/weather';
import { type Words } from '#words/catalog';

export const weathers: Words<WeatherFacts> = {
  'weather.dull': () => 'dull and still',
  'weather.bright': () => 'bright house',
  'weather.sun': () => 'sun and wind',
};
