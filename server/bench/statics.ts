import { bodyModel, type HandLoadReading, handLoad, loadCurve, plannedLoad, type SetUp } from '@myokinet/core/statics';

const body = bodyModel({ sex: 'female', statureM: 1.68, massKg: 62 });

/** Set-ups that differ, so that nothing can be remembered. */
export const SET_UPS = 2000;
const setUps: readonly SetUp[] = Array.from({ length: SET_UPS }, (_, i) => ({
  position: 'push-up',
  handHeightM: (i % 900) / 1000,
  arms: i % 3 === 0 ? 'lowered' : 'straight',
}));

export function loadsWithoutBand(): number {
  let sum = 0;
  for (const setUp of setUps) sum += plannedLoad(body, { setUp }) ?? 0;
  return sum;
}

/** The closed form alone, for hands on the floor: Σ mᵢxᵢ ÷ x of a straight body, with numbers already looked up. */
export function closedFormAlone(): number {
  const { segments: s, ankleHeightM, heelToAnkleM, heelToBallM, armM, shoulderToCrownM } = body;
  const off = heelToBallM - heelToAnkleM;
  const shares = [2 * s.foot.massShare, 2 * s.shank.massShare, 2 * s.thigh.massShare, s.trunk.massShare, s.head.massShare];
  const knee = ankleHeightM + s.shank.lengthM;
  const hip = knee + s.thigh.lengthM;
  const shoulder = hip + s.trunk.lengthM;
  const along = [
    0,
    knee - s.shank.centre * s.shank.lengthM,
    hip - s.thigh.centre * s.thigh.lengthM,
    shoulder - s.trunk.centre * s.trunk.lengthM,
  ];
  const places = [...along, shoulder + shoulderToCrownM - s.head.centre * s.head.lengthM];
  const arms = 2 * (s.upperArm.massShare + s.forearm.massShare + s.hand.massShare);
  let sum = 0;
  for (let i = 0; i < SET_UPS; i++) {
    const lean = Math.asin((armM + 0.03) / Math.hypot(shoulder, off)) - Math.atan2(off, shoulder) + i * 1e-9;
    const [c, n] = [Math.cos(lean), Math.sin(lean)];
    let moment = arms * (shoulder * c - off * n);
    for (let k = 0; k < places.length; k++) moment += (shares[k] ?? 0) * ((places[k] ?? 0) * c - off * n);
    sum += moment / (shoulder * c - off * n + 0.04);
  }
  return sum;
}

export function loadsWithBand(): HandLoadReading[] {
  return setUps.slice(0, SET_UPS / 10).map((setUp) => handLoad(body, setUp));
}

/** What the lab draws when any other dial is turned. */
export function curveForTheScreen(): number {
  return loadCurve(body, { position: 'push-up' }).points.length;
}
