import { useMedia } from '../../useMedia.ts';

/** Whether one points with a finger, for which a phone's own wheels of days and times are best. */
export const useCoarsePointer = (): boolean => useMedia('(pointer: coarse)');
