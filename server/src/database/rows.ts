/** What every row of a garden that people change has: the garden it belongs to and a version. */
export interface GardenRow {
  id: string;
  gardenId: string;
  version: number;
}
