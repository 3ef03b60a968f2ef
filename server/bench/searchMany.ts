import { BUILT_IN } from '@myokinet/core/catalogue';
import { type Drill, EQUIPMENT } from '@myokinet/core/drills';
import { drillSearch } from '@myokinet/core/library';

/** What a coach types, letter by letter. */
const TYPED = ['w', 'wr', 'wri', 'wrist', 'wrist c', 'wrist curl', 'sca', 'scapular push', 'band rotation', 'hang', 'zeppelin'];

/** Searches over many drills, as fast as they are typed, and a plain scan of the same texts. */
export function searchMany(count: number) {
  const drills = Array.from({ length: count }, (_, n): Drill => {
    const drill = BUILT_IN.drills[n % BUILT_IN.drills.length];
    if (!drill) throw new Error('The library holds drills.');
    return { ...drill, id: `${drill.id}-${n}`, name: n < BUILT_IN.drills.length ? drill.name : `${drill.name}, variation ${n}` };
  });
  const search = drillSearch(drills);
  const scan = (text: string) => {
    const words = text.toLowerCase().split(' ');
    return drills.filter((d) => {
      const all = [
        d.name,
        d.joint,
        ...d.alsoWorks,
        ...d.motions,
        d.quality,
        d.phase,
        d.position,
        ...d.equipment.map((e) => EQUIPMENT[e]),
        d.cue,
      ]
        .join(' ')
        .toLowerCase();
      return words.every((w) => all.includes(w));
    });
  };
  return {
    keystrokes: TYPED.length,
    search: () => TYPED.map((text) => search(text, { quality: 'stability' }).length),
    scan: () => TYPED.map((text) => scan(text).filter((d) => d.quality === 'stability').length),
  };
}
