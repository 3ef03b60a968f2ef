import type { BodySide, Side } from '@myokinet/core/anatomy';
import { CLIP_CURVES, CLIP_PROMISE, type ClipCurve, clipTrace, type ClipTrace } from '@myokinet/core/landmarks';
import { clipCurveInWords, CLIP_CURVE_WORDS, clipTrustInWords } from '@myokinet/core/words';
import { useEffect, useId, useMemo, useRef, useState } from 'react';
import { fingerprint } from '../../client/fingerprint.ts';
import { FileDrop } from '../../kit/FileDrop.tsx';
import { TraceView, type TakeReading } from '../instruments/index.ts';
import { ClipPart } from './ClipPart.tsx';
import { lengthOf, LONGEST_SECONDS, readClip, type ReadClip } from './readClip.ts';
import { usualCurve } from './usualCurve.ts';

const MEGA = 1e6;
const MOST_BYTES = 2000 * MEGA;
/** So much of a file tells it from others. */
const TOLD_BYTES = 4 * MEGA;

interface OpenClip {
  readonly url: string;
  readonly name: string;
  readonly source: string;
}

interface ClipPanelProps extends TakeReading {
  readonly side: BodySide;
  readonly leave: () => void;
}

/** Reads a trial off a clip: played slowly beside a pose model, its curve beside it, the turns looked at by the coach. It stays on this machine. */
export function ClipPanel({ measure, side: asked, label, take, leave }: ClipPanelProps) {
  const [clip, setClip] = useState<OpenClip | undefined>();
  const [problem, setProblem] = useState('');
  const filmId = useId();
  useEffect(() => () => (clip ? URL.revokeObjectURL(clip.url) : undefined), [clip]);
  const open = async (file: File | undefined) => {
    if (!file) return;
    setProblem('');
    if (!file.type.startsWith('video/')) setProblem(`“${file.name}” is no video.`);
    else if (file.size > MOST_BYTES) setProblem(`The clip has ${Math.round(file.size / MEGA)} MB; the limit is ${MOST_BYTES / MEGA} MB.`);
    else {
      const told = new Uint8Array(await file.slice(0, TOLD_BYTES).arrayBuffer());
      setClip({ url: URL.createObjectURL(file), name: file.name, source: fingerprint(told) });
    }
  };
  return (
    <section className="sheet p-3 max-sm:px-2" aria-label={`Clip for ${label}`}>
      <p className="text-sm">
        Film one person from the side, whole, over half of the picture, the camera still. A reading off a clip informs and opens no gate:
        counts within {CLIP_PROMISE.count}, seconds of a stroke within {CLIP_PROMISE.strokeSeconds}, ranges within {CLIP_PROMISE.range}.
      </p>
      {clip ? (
        <Opened
          key={clip.url}
          {...{ clip, measure, label, take }}
          side={asked === 'whole' ? 'better seen' : asked}
          refuse={(why) => {
            setProblem(why);
            setClip(undefined);
          }}
        />
      ) : (
        <FileDrop
          label="A clip, chosen or dropped here. It stays on this machine."
          accept="video/*"
          open={([file]) => void open(file)}
          problem={problem}
        >
          <label htmlFor={filmId} className="btn mt-2 hidden min-h-11 pointer-coarse:inline-flex">
            Film it now
          </label>
          <input
            id={filmId}
            type="file"
            accept="video/*"
            capture="environment"
            className="sr-only"
            onChange={(e) => void open(e.target.files?.[0])}
          />
        </FileDrop>
      )}
      <button type="button" className="btn mt-3 min-h-11" onClick={leave}>
        Close the clip
      </button>
    </section>
  );
}

interface OpenedProps extends TakeReading {
  readonly clip: OpenClip;
  readonly side: Side | 'better seen';
  readonly refuse: (why: string) => void;
}

type Progress =
  | { readonly kind: 'waiting' }
  | { readonly kind: 'reading'; readonly seconds: number }
  | { readonly kind: 'read'; readonly read: ReadClip };

function Opened({ clip, measure, label, take, side: asked, refuse }: OpenedProps) {
  const video = useRef<HTMLVideoElement>(null);
  const stop = useRef<AbortController | undefined>(undefined);
  const [length, setLength] = useState<number | undefined>();
  const [part, setPart] = useState({ from: 0, to: LONGEST_SECONDS });
  const [progress, setProgress] = useState<Progress>({ kind: 'waiting' });
  const [curve, setCurve] = useState<ClipCurve>(() => usualCurve(measure));
  const [side, setSide] = useState(asked);
  const [problem, setProblem] = useState('');
  useEffect(() => () => stop.current?.abort(), []);

  const measured = async (player: HTMLVideoElement) => {
    if (player.videoWidth === 0) {
      refuse('This file has sound but no picture.');
      return;
    }
    const seconds = await lengthOf(player);
    setLength(seconds);
    setPart({ from: 0, to: Math.min(seconds, LONGEST_SECONDS) });
  };
  const read = async () => {
    if (!video.current) return;
    stop.current = new AbortController();
    setProblem('');
    setProgress({ kind: 'reading', seconds: 0 });
    try {
      const found = await readClip(video.current, {
        ...part,
        signal: stop.current.signal,
        onProgress: (seconds) => setProgress({ kind: 'reading', seconds }),
      });
      setProgress({ kind: 'read', read: found });
    } catch (error) {
      setProgress({ kind: 'waiting' });
      if (!(error instanceof DOMException && error.name === 'AbortError'))
        setProblem(error instanceof Error ? error.message : 'The clip cannot be read.');
    }
  };
  const traced = useMemo(() => tracedOf(progress, curve, side), [progress, curve, side]);
  const show = (seconds: number) => {
    if (video.current) video.current.currentTime = part.from + seconds;
  };
  return (
    <div className="mt-2 grid grid-cols-[minmax(0,1fr)] items-start gap-3 lg:grid-cols-[minmax(14rem,22rem)_minmax(0,1fr)]">
      <div>
        <video
          ref={video}
          src={clip.url}
          muted
          playsInline
          preload="auto"
          controls={progress.kind !== 'reading'}
          className="max-h-96 w-full bg-neutral"
          aria-label="Clip"
          onError={() => refuse('This browser cannot play the clip. Export it as MP4 (H.264) or WebM.')}
          onLoadedMetadata={({ currentTarget }) => void measured(currentTarget)}
        />
        <div className="mt-2 grid gap-2 text-sm">
          <Choice label="Follow" value={curve} choices={CLIP_CURVES} words={CLIP_CURVE_WORDS} choose={setCurve} />
          <Choice label="Side" value={side} choices={['better seen', 'left', 'right'] as const} words={SIDES} choose={setSide} />
        </div>
      </div>
      <div>
        {length === undefined ? (
          <p role="status">Opening the clip…</p>
        ) : progress.kind === 'read' ? (
          <>
            {'problem' in traced ? (
              <>
                <p role="alert" className="text-error">
                  {traced.problem}
                </p>
                <button type="button" className="btn mt-2" onClick={() => setProgress({ kind: 'waiting' })}>
                  Back to the clip
                </button>
              </>
            ) : (
              <>
                {clipTrustInWords(traced.trace).map((line, i) => (
                  <p key={line} className={`text-sm ${i === 0 ? '' : 'state-mark font-semibold'}`}>
                    {line}
                  </p>
                ))}
                <TraceView
                  key={`${curve} ${side}`}
                  {...{ measure, take }}
                  samples={traced.trace.samples}
                  quantity={traced.trace.quantity}
                  from={clipCurveInWords(curve, traced.trace.side)}
                  simulated={false}
                  zeroed
                  clip={{ source: clip.source, show }}
                  close={() => setProgress({ kind: 'waiting' })}
                />
              </>
            )}
          </>
        ) : progress.kind === 'reading' ? (
          <div role="status">
            <p>
              Reading {label.toLowerCase()}: {progress.seconds.toFixed(0)} of {(part.to - part.from).toFixed(0)} s. It plays slowly, so that
              each frame is looked at; keep this page open.
            </p>
            <progress className="progress progress-primary mt-1 w-full" value={progress.seconds} max={part.to - part.from} />
            <button type="button" className="btn btn-sm mt-2" onClick={() => stop.current?.abort()}>
              Stop
            </button>
          </div>
        ) : (
          <>
            <ClipPart length={length} part={part} change={setPart} show={show} />
            {problem && (
              <p role="alert" className="mt-1 text-error">
                {problem}
              </p>
            )}
            <div className="mt-2 flex flex-wrap gap-2">
              <button type="button" className="btn btn-primary" onClick={() => void read()}>
                Read the clip
              </button>
              <button type="button" className="btn" onClick={() => refuse('')}>
                Another clip
              </button>
            </div>
          </>
        )}
      </div>
    </div>
  );
}

const SIDES = { 'better seen': 'whichever is seen better', left: 'left', right: 'right' } as const;

function tracedOf(
  progress: Progress,
  curve: ClipCurve,
  side: Side | 'better seen',
): { readonly trace: ClipTrace } | { readonly problem: string } {
  if (progress.kind !== 'read') return { problem: '' };
  try {
    return { trace: clipTrace(progress.read.frames, { curve, side }, progress.read) };
  } catch (error) {
    return { problem: error instanceof Error ? error.message : 'The clip cannot be read.' };
  }
}

interface ChoiceProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly choices: readonly T[];
  readonly words: Readonly<Record<T, string>>;
  readonly choose: (value: T) => void;
}

function Choice<T extends string>({ label, value, choices, words, choose }: ChoiceProps<T>) {
  return (
    <label className="flex items-center gap-2">
      <span className="w-12">{label}</span>
      <select className="select min-h-11 flex-1" value={value} onChange={(e) => choose(e.target.value as T)}>
        {choices.map((c) => (
          <option key={c} value={c}>
            {words[c]}
          </option>
        ))}
      </select>
    </label>
  );
}
