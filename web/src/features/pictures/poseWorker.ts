import type { Keypoint } from '@myokinet/core/landmarks';
import { type GraphModel, loadGraphModel } from '@tensorflow/tfjs-converter';
import { browser, cast, expandDims, io, ready, setBackend, tidy } from '@tensorflow/tfjs-core';
import { setWasmPaths } from '@tensorflow/tfjs-backend-wasm';
import plainUrl from '@tensorflow/tfjs-backend-wasm/dist/tfjs-backend-wasm.wasm?url';
import simdUrl from '@tensorflow/tfjs-backend-wasm/dist/tfjs-backend-wasm-simd.wasm?url';
import threadedUrl from '@tensorflow/tfjs-backend-wasm/dist/tfjs-backend-wasm-threaded-simd.wasm?url';
import { expose } from 'comlink';
import weightsUrl from 'pose-model/movenet-lightning.bin?url';
import modelUrl from 'pose-model/movenet-lightning.json?url';

/** Side of the square picture that the model looks at, pixels. */
const INPUT = 192;
/** In the model's order. */
const NAMES = [
  'nose',
  undefined,
  undefined,
  'left ear',
  'right ear',
  'left shoulder',
  'right shoulder',
  'left elbow',
  'right elbow',
  'left wrist',
  'right wrist',
  'left hip',
  'right hip',
  'left knee',
  'right knee',
  'left ankle',
  'right ankle',
] as const;
/** It was made for film, where each look is cropped to the body seen in the one before. */
const LOOKS = 4;
const CROP = { score: 0.2, margin: 1.35 } as const;

interface Square {
  readonly x: number;
  readonly y: number;
  readonly side: number;
}

let model: Promise<GraphModel> | undefined;

async function load(): Promise<GraphModel> {
  setWasmPaths({
    'tfjs-backend-wasm.wasm': plainUrl,
    'tfjs-backend-wasm-simd.wasm': simdUrl,
    'tfjs-backend-wasm-threaded-simd.wasm': threadedUrl,
  });
  await setBackend('wasm');
  await ready();
  const [topology, weights] = await Promise.all([fetch(modelUrl), fetch(weightsUrl)]);
  if (!topology.ok || !weights.ok) throw new Error('The pose model could not be loaded from the server.');
  const { weightsManifest, ...rest } = (await topology.json()) as { weightsManifest: { weights: io.WeightsManifestEntry[] }[] };
  return loadGraphModel(
    io.fromMemory({
      modelTopology: (rest as { modelTopology?: object }).modelTopology ?? rest,
      weightSpecs: weightsManifest.flatMap((group) => group.weights),
      weightData: await weights.arrayBuffer(),
    }),
  );
}

/** One look at one square of the picture. */
function look(net: GraphModel, picture: ImageBitmap, { x, y, side }: Square): readonly Keypoint[] {
  const canvas = new OffscreenCanvas(INPUT, INPUT);
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) throw new Error('This browser cannot draw beside the page.');
  context.drawImage(picture, (-x * INPUT) / side, (-y * INPUT) / side, (picture.width * INPUT) / side, (picture.height * INPUT) / side);
  const pixels = context.getImageData(0, 0, INPUT, INPUT);
  const seen = tidy(() => {
    const input = expandDims(cast(browser.fromPixels(pixels), 'int32'), 0);
    return (net.execute(input) as ReturnType<typeof expandDims>).dataSync<'float32'>();
  });
  return NAMES.flatMap((name, i) =>
    name ? [{ name, x: x + (seen[3 * i + 1] ?? 0) * side, y: y + (seen[3 * i] ?? 0) * side, score: seen[3 * i + 2] ?? 0 }] : [],
  );
}

/** The square around the body as far as it was seen. */
function around(points: readonly Keypoint[], whole: Square): Square {
  const sure = points.filter((p) => p.score >= CROP.score);
  if (sure.length < 4) return whole;
  const xs = sure.map((p) => p.x);
  const ys = sure.map((p) => p.y);
  const [left, right, top, bottom] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const side = Math.min(whole.side, CROP.margin * Math.max(right - left, bottom - top));
  return { x: (left + right - side) / 2, y: (top + bottom - side) / 2, side };
}

/** Where the body was in the frame before. */
let followed: { readonly points: readonly Keypoint[]; readonly width: number; readonly height: number } | undefined;

async function loaded(): Promise<GraphModel> {
  model ??= load();
  return model.catch((error: unknown) => {
    model = undefined;
    throw error;
  });
}

function wholeOf({ width, height }: { readonly width: number; readonly height: number }): Square {
  const side = Math.max(width, height);
  return { x: (width - side) / 2, y: (height - side) / 2, side };
}

function looked(net: GraphModel, picture: ImageBitmap): readonly Keypoint[] {
  const whole = wholeOf(picture);
  let points = look(net, picture, whole);
  for (let i = 1; i < LOOKS; i++) points = look(net, picture, around(points, whole));
  return points;
}

const pose = {
  /** Body points of one picture, pixels. */
  async suggest(picture: ImageBitmap): Promise<readonly Keypoint[]> {
    return looked(await loaded(), picture);
  },

  /** Body points of the next frame of a clip, pixels: one look, at where the body was in the frame before. */
  async follow(picture: ImageBitmap, isFirst: boolean): Promise<readonly Keypoint[]> {
    const net = await loaded();
    const { width, height } = picture;
    const before = isFirst || followed?.width !== width || followed.height !== height ? undefined : followed;
    // Where nobody was seen the next frame is looked at whole, and the one after it near.
    const points = before ? look(net, picture, around(before.points, wholeOf(picture))) : looked(net, picture);
    picture.close();
    followed = { points, width, height };
    return points;
  },
};
export type Pose = typeof pose;

expose(pose);
