import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { distanceKm, nearestTown, townAtHeight, townLabel, towns } from './index.ts';

const town = (label: string) => towns.find((one) => townLabel(one) === label)!;

describe('the table of towns', () => {
  it('has some two hundred, each once, on the globe, with twelve means in order', () => {
    expect(towns.length).toBeGreaterThanOrEqual(200);
    expect(new Set(towns.map(townLabel)).size).toBe(towns.length);
    for (const { name, latitude, longitude, height, normals } of towns) {
      expect(Math.abs(latitude), name).toBeLessThanOrEqual(70);
      expect(Math.abs(longitude), name).toBeLessThanOrEqual(180);
      expect(height, name).toBeLessThan(4000);
      for (let month = 0; month < 12; month++)
        expect(normals.low[month]!, `${name} ${month}`).toBeLessThan(normals.high[month]!);
    }
  });

  it('has summer half a year apart north and south of the tropics', () => {
    for (const { name, latitude, normals } of towns) {
      if (Math.abs(latitude) < 30) continue;
      const warmest = normals.high.indexOf(Math.max(...normals.high));
      expect(latitude > 0 ? warmest >= 4 && warmest <= 9 : warmest <= 2 || warmest === 11, name).toBe(true);
    }
  });

  it('is near to what a station measured', () => {
    // Daily weather of Seattle, 2012 to 2015, of the National Centers for Environmental Information, as vega-datasets has it.
    const entry = createRequire(import.meta.url).resolve('vega-datasets');
    const folder = entry.slice(0, entry.lastIndexOf('vega-datasets') + 'vega-datasets'.length);
    const file = join(folder, 'data/seattle-weather.csv');
    const [, ...lines] = readFileSync(file, 'utf8').trim().split('\n');
    const sums = Array.from({ length: 12 }, () => ({ low: 0, high: 0, days: 0 }));
    for (const line of lines) {
      const [date = '', , high, low] = line.split(',');
      const month = sums[Number(date.slice(5, 7)) - 1]!;
      month.low += Number(low);
      month.high += Number(high);
      month.days += 1;
    }
    // Four years, warmer than most, at the airport above the town.
    for (const [month, { low, high, days }] of sums.entries()) {
      expect(Math.abs(low / days - town('Seattle, Washington').normals.low[month]!)).toBeLessThan(2.5);
      expect(Math.abs(high / days - town('Seattle, Washington').normals.high[month]!)).toBeLessThan(2.5);
    }
  });
});

describe('the nearest town', () => {
  it('is found with its distance along the globe', () => {
    // Paris to London 344 km, Sydney to Wellington 2,225 km: from memory of great-circle tables; the towns stand to a tenth of a degree.
    expect(Math.abs(distanceKm(town('Paris, France'), town('London, England')) - 344)).toBeLessThan(15);
    expect(
      Math.abs(distanceKm(town('Sydney, Australia'), town('Wellington, New Zealand')) - 2225),
    ).toBeLessThan(20);
    const { town: near, km } = nearestTown({ latitude: 43.0, longitude: -89.5 });
    expect(near.name).toBe('Madison');
    expect(km).toBeCloseTo(13.8, 0);
  });

  it('is found across the date line', () => {
    expect(nearestTown({ latitude: -18, longitude: -179.5 }).town.name).toBe('Suva');
    expect(distanceKm({ latitude: 0, longitude: 179.5 }, { latitude: 0, longitude: -179.5 })).toBeCloseTo(
      111.2,
      0,
    );
  });

  it('is colder the higher the garden lies above it, by 6.5 °C in a kilometre', () => {
    const denver = town('Denver, Colorado');
    const higher = townAtHeight(denver, denver.height + 1000);
    expect(higher.high[6]! - denver.normals.high[6]!).toBeCloseTo(-6.5, 9);
    expect(higher.low[0]! - denver.normals.low[0]!).toBeCloseTo(-6.5, 9);
    expect(townAtHeight(denver, null)).toEqual(denver.normals);
    expect(higher.rain).toEqual(denver.normals.rain);
  });
});
