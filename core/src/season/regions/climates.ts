import type { MonthlyNormals, Place } from '../../place/index.ts';

/** A place of the world with its monthly means from January on, °C and mm, and the dates of its median frosts. */
export interface Region {
  name: string;
  place: Place;
  normals: MonthlyNormals;
}

/*
 * From memory of published normals (U.S. climate normals 1991–2020, World Meteorological Organization normals of the
 * other services), rounded to half degrees; median frosts from memory of the same services.
 */

export const coldContinental: Region = {
  name: 'Madison, Wisconsin',
  place: { latitude: 43.1, longitude: -89.4, lastFrost: '05-05', firstFrost: '10-05' },
  normals: {
    low: [-12.5, -10.5, -4.5, 1.5, 7.5, 13, 15.5, 14.5, 9.5, 3.5, -2.5, -9],
    high: [-3, -0.5, 6.5, 14, 20.5, 26, 28, 26.5, 22.5, 15, 7, -0.5],
    rain: [33, 36, 55, 95, 105, 133, 115, 105, 88, 71, 58, 46],
  },
};

export const humidSubtropical: Region = {
  name: 'Atlanta, Georgia',
  place: { latitude: 33.7, longitude: -84.4, lastFrost: '03-25', firstFrost: '11-13' },
  normals: {
    low: [1, 2.5, 6.5, 10.5, 15.5, 20, 22, 21.5, 18, 12, 6.5, 2.5],
    high: [11, 13.5, 18, 22.5, 27, 30.5, 32, 31.5, 28.5, 23, 17.5, 12.5],
    rain: [115, 115, 120, 95, 90, 115, 120, 110, 95, 85, 100, 115],
  },
};

export const marine: Region = {
  name: 'Seattle, Washington',
  place: { latitude: 47.6, longitude: -122.3, lastFrost: '03-15', firstFrost: '11-15' },
  normals: {
    low: [3, 3, 4, 6, 9, 11.5, 13.5, 13.5, 11.5, 8.5, 5, 3],
    high: [8.5, 10, 12, 15, 19, 21.5, 25, 25, 21.5, 15.5, 10.5, 8],
    rain: [145, 95, 105, 80, 50, 40, 16, 24, 40, 99, 160, 145],
  },
};

export const lowDesert: Region = {
  name: 'Phoenix, Arizona',
  place: { latitude: 33.4, longitude: -112, lastFrost: '02-05', firstFrost: '12-10' },
  normals: {
    low: [8, 9.5, 12, 16, 21, 25.5, 29, 28.5, 25, 18.5, 11.5, 7.5],
    high: [20, 22, 25.5, 30, 35, 40.5, 41.5, 41, 38, 31.5, 24.5, 19],
    rain: [22, 22, 21, 6, 3, 1, 23, 24, 15, 14, 14, 19],
  },
};

export const highland: Region = {
  name: 'Mexico City',
  place: { latitude: 19.4, longitude: -99.2, lastFrost: '02-05', firstFrost: '12-10' },
  normals: {
    low: [6, 7, 9.5, 11, 12, 12.5, 11.5, 12, 11.5, 10, 8, 6.5],
    high: [21, 23, 25.5, 27, 27, 25, 24, 24, 23, 23, 22, 21],
    rain: [8, 5, 11, 22, 60, 125, 150, 140, 120, 55, 10, 6],
  },
};

export const mediterraneanSouth: Region = {
  name: 'Adelaide, South Australia',
  place: { latitude: -34.9, longitude: 138.6, lastFrost: '08-10', firstFrost: '06-25' },
  normals: {
    low: [17, 17, 15.5, 12.5, 10.5, 8, 7.5, 8, 9.5, 11.5, 14, 15.5],
    high: [29.5, 29.5, 26.5, 22.5, 19, 16, 15.5, 16.5, 19, 22, 25, 27],
    rain: [20, 15, 25, 37, 60, 80, 77, 68, 62, 43, 30, 29],
  },
};

export const coolOceanic: Region = {
  name: 'Edinburgh, Scotland',
  place: { latitude: 55.9, longitude: -3.2, lastFrost: '04-30', firstFrost: '10-25' },
  normals: {
    low: [1.5, 1.5, 2.5, 4, 6.5, 9.5, 11, 11, 9, 6.5, 3.5, 1.5],
    high: [7, 7.5, 9.5, 12, 15, 17.5, 19.5, 19, 16.5, 13, 9.5, 7],
    rain: [67, 51, 51, 43, 52, 65, 69, 70, 55, 77, 64, 64],
  },
};

export const tropical: Region = {
  name: 'Manila, Luzon',
  place: { latitude: 14.6, longitude: 121, lastFrost: null, firstFrost: null },
  normals: {
    low: [23.5, 24, 25, 26.5, 27, 26.5, 26, 26, 26, 25.5, 25, 24],
    high: [30, 31, 32.5, 34.5, 34, 32.5, 31.5, 31, 31.5, 31.5, 31, 30.5],
    rain: [17, 14, 16, 20, 150, 270, 420, 480, 390, 240, 140, 75],
  },
};
