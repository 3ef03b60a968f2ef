import type { PictureDto, ReadingDto, TraineeReply } from '@myokinet/core/contracts';
import type { BodySide } from '@myokinet/core/anatomy';
import {
  PICTURE_DEFAULTS,
  type PictureAngle,
  type PicturePoint,
  type PictureTemplate,
  readPicture,
  suggestPoints,
  wrapped,
} from '@myokinet/core/landmarks';
import { bandOfReading, type Measure } from '@myokinet/core/measuring';
import { useState } from 'react';
import { nowInstant } from '../../client/clock.ts';
import { newId } from '../../client/newId.ts';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { usePixelWidth } from '../../kit/usePixelWidth.ts';
import { useKeepPictureMutation } from './endpoints.ts';
import { suggestedKeypoints } from './pose.ts';
import { keptPicture } from './keptPicture.ts';
import { confirmed, laid, type Marks, moved, newLevel, suggested, waiting } from './landmarks.ts';
import type { OpenPicture } from './openPicture.ts';
import { PictureCanvas, SHARE_OF_WINDOW } from './PictureCanvas.tsx';
import { trialProblemInWords } from '@myokinet/core/words';

export interface PictureDeskProps {
  readonly picture: OpenPicture;
  readonly template: PictureTemplate;
  readonly measure: Measure;
  readonly trainee: TraineeReply;
  readonly side: BodySide;
  readonly take: (value: number, reading: ReadingDto) => void;
  readonly close: () => void;
}

/** A picture under the coach's hands: landmarks, level line, and the angle with its error as they are dragged. */
export function PictureDesk({ picture, template, measure, trainee, side, take, close }: PictureDeskProps) {
  const { width, height } = picture;
  const [marks, setMarks] = useState<Marks>(() => waiting(template, width, height));
  const [facing, setFacing] = useState<'left' | 'right' | undefined>();
  const [sure, setSure] = useState(false);
  const [zoom, setZoom] = useState(1);
  const [middle, setMiddle] = useState<PicturePoint | undefined>();
  const [keep, setKeep] = useState(true);
  const [model, setModel] = useState<'idle' | 'busy' | string>('idle');
  const [failed, setFailed] = useState('');
  const [pictureId] = useState(newId);
  const [send, sending] = useKeepPictureMutation();
  const [box, pixels] = usePixelWidth<HTMLDivElement>(600);

  const missing = marks.points.filter((m) => !m.placedBy).length;
  const pending = marks.points.some((m) => m.placedBy === 'suggested');
  // A finger errs on the screen; on the picture that is as much as the screen shows it smaller.
  const across = Math.min(pixels, (SHARE_OF_WINDOW * window.innerHeight * width) / height);
  const picking = Math.max(1, (PICTURE_DEFAULTS.picking * width) / zoom / Math.max(1, across));
  const read = angleOf(template, marks, { facing, side, picking, sex: trainee.sex });
  const rounded = read.angle && Math.round(read.angle.angle / measure.limits.step) * measure.limits.step;
  const limit = rounded === undefined ? undefined : trialProblemInWords(measure, rounded);
  // An angle against the direction of the check is asked about, never turned round by itself.
  const opposite = facing && (facing === 'right' ? 'left' : 'right');
  const otherWay = angleOf(template, marks, { facing: opposite, side, picking, sex: trainee.sex }).angle?.angle;
  const turned = template.asks ? otherWay : wrapped(-(rounded ?? 0), 0);
  const backwards = missing === 0 && limit !== undefined && turned !== undefined && !trialProblemInWords(measure, Math.round(turned));
  // Seen the wrong way round, an arm short of straight up reads as much beyond it.
  const beyond = missing === 0 && rounded !== undefined && rounded > 180 && !limit;
  const ready = rounded !== undefined && missing === 0 && !limit && (!beyond || sure);

  const suggest = async () => {
    setModel('busy');
    try {
      const keypoints = await suggestedKeypoints(await createImageBitmap(picture.blob));
      const points = suggestPoints(template, keypoints, side);
      setMarks((m) =>
        suggested(
          m,
          points.map((p) => ({ ...p, x: Math.round(p.x), y: Math.round(p.y) })),
        ),
      );
      setModel(`The model saw ${points.length} of ${template.landmarks.length} points. Look at each, drag it right or confirm them all.`);
    } catch (error) {
      setModel(error instanceof Error ? error.message : 'The model could not look at this picture. Place the points by hand.');
    }
  };

  const use = async () => {
    if (!ready || !read.angle) return;
    setFailed('');
    const standardError = Math.round(read.angle.standardError * 100) / 100;
    const points = marks.points.map(({ id, x, y, placedBy }) => ({ id, x, y, placedBy: placedBy ?? 'coach' }));
    const reading: ReadingDto = { kind: 'picture', instrument: 'Picture', simulated: false, standardError, points };
    if (!keep) {
      take(rounded, reading);
      return;
    }
    try {
      const { image, scale, ...size } = await keptPicture(picture);
      const scaled = points.map((p) => ({ ...p, x: p.x * scale, y: p.y * scale }));
      const body: PictureDto = {
        ...{ id: pictureId, takenAt: nowInstant(), measureId: measure.id, side, ...size, facing: facing ?? 'right', points: scaled },
        ...{ value: rounded, standardError, image },
      };
      const result = await send({ traineeId: trainee.id, body });
      if (result.data) take(rounded, { ...reading, pictureId, points: scaled });
    } catch (error) {
      setFailed(error instanceof Error ? error.message : 'The picture could not be kept.');
    }
  };
  return (
    <div className="mt-2 grid gap-4 xl:grid-cols-[1fr_18rem]">
      <div ref={box}>
        <PictureCanvas
          {...{ url: picture.url, width, height, template, marks, zoom, middle }}
          pick={setMiddle}
          move={(id, x, y) => {
            setMarks((m) => moved(m, id, x, y));
            // Whoever looked, looked at the points as they were.
            setSure(false);
          }}
        />
        <div className="mt-1 flex flex-wrap items-center gap-2 text-sm">
          {[1, 2, 4].map((z) => (
            <button
              key={z}
              type="button"
              className={`btn btn-xs ${z === zoom ? 'btn-neutral' : ''}`}
              aria-pressed={z === zoom}
              onClick={() => setZoom(z)}
            >
              {z} ×
            </button>
          ))}
          <span className="aside">Drag, or arrow keys (Shift: ten pixels). Film {template.view}.</span>
        </div>
      </div>
      <div>
        <p className="font-display text-4xl font-semibold" role="status" aria-label="Angle">
          {read.angle && missing === 0 ? `${read.angle.angle.toFixed(0)}° ± ${bandOfReading(read.angle.standardError).toFixed(1)}°` : '–'}
        </p>
        <p className="aside text-sm">
          {missing > 0
            ? `${missing} of ${marks.points.length} landmarks still to be placed.`
            : `From placing the points to ${picking.toFixed(1)} pixels${template.needsLevel ? ' and the camera’s roll' : ''}; one-sided 95%.`}
        </p>
        {missing === 0 &&
          read.angle?.warnings.map((w) => (
            <p key={w.kind} className="state-mark mt-1 border-s-4 border-warning ps-2 text-sm">
              {w.sentence}
            </p>
          ))}
        {missing === 0 && (read.problem ?? limit) && (
          <p role="alert" className="mt-1 text-error">
            {read.problem ?? limit}
          </p>
        )}
        {template.asks && (
          <fieldset className="mt-2 flex items-center justify-between gap-2">
            <legend className="float-start">
              {template.asks === 'head' ? 'On the picture the head lies' : 'On the picture the trainee faces'}
            </legend>
            <span className="join">
              {(['left', 'right'] as const).map((way) => (
                <button
                  key={way}
                  type="button"
                  className={`btn btn-sm join-item ${facing === way ? 'btn-primary' : ''}`}
                  aria-pressed={facing === way}
                  onClick={() => {
                    setFacing(way);
                    setSure(false);
                  }}
                >
                  {way}
                </button>
              ))}
            </span>
          </fieldset>
        )}
        {backwards && (
          <p role="status" className="state-mark mt-1">
            {`It reads ${rounded ?? 0}°: the other way round? ${template.asks ? 'Does the trainee face the other way' : 'Was it seen from the other side'}, or is a point misplaced?`}
          </p>
        )}
        {beyond && (
          <label className="state-mark mt-1 flex items-center gap-2">
            <input type="checkbox" className="checkbox checkbox-sm" checked={sure} onChange={(e) => setSure(e.target.checked)} />
            {`Beyond straight up, ${rounded}° and not ${360 - rounded}°: I looked.`}
          </label>
        )}
        <ol className="mt-2 text-sm">
          {template.landmarks.map((l) => {
            const placedBy = marks.points.find((m) => m.id === l.id)?.placedBy;
            return (
              <li key={l.id} className="flex justify-between gap-2 border-b border-base-300 py-0.5">
                <span>{l.name}</span>
                <span className={placedBy === 'coach' || placedBy === 'confirmed' ? 'aside' : 'state-mark'}>{placedBy ?? 'to place'}</span>
              </li>
            );
          })}
        </ol>
        <div className="mt-2 flex flex-wrap gap-2">
          <button type="button" className="btn btn-sm" disabled={model === 'busy'} onClick={() => void suggest()}>
            {model === 'busy' ? 'Looking…' : 'Suggest points'}
          </button>
          <button type="button" className="btn btn-sm" disabled={!pending} onClick={() => setMarks(confirmed)}>
            Confirm them all
          </button>
        </div>
        {model !== 'idle' && model !== 'busy' && (
          <p role="status" className="mt-1 text-sm">
            {model}
          </p>
        )}
        {pending && (
          <p className="state-mark mt-1 text-sm">
            Suggested points that nobody has confirmed open no gate. The model tends to read arms 3–7° low.
          </p>
        )}
        <div className="mt-3 space-y-1.5 text-sm">
          {template.needsLevel && (
            <>
              <label className="flex items-center justify-between gap-2">
                Something that hangs or lies level
                <select
                  className="select select-sm w-32"
                  value={marks.level?.kind ?? ''}
                  onChange={({ target: { value } }) =>
                    setMarks(({ points }) => ({ points, ...(value ? { level: newLevel(value as 'plumb' | 'floor', width, height) } : {}) }))
                  }
                >
                  <option value="">no line</option>
                  <option value="plumb">plumb line</option>
                  <option value="floor">floor line</option>
                </select>
              </label>
              {marks.level && !laid(marks) && <p className="state-mark">Drag the line’s ends along it; until then it does not count.</p>}
            </>
          )}
          <label className="flex items-center gap-2">
            <input type="checkbox" className="checkbox checkbox-sm" checked={keep} onChange={(e) => setKeep(e.target.checked)} />
            Keep the picture on the record, on this machine
          </label>
        </div>
        <ProblemNote error={sending.error} retry={() => void use()} />
        {failed && (
          <p role="alert" className="text-error">
            {failed}
          </p>
        )}
        <div className="mt-3 flex flex-wrap gap-2">
          <button type="button" className="btn btn-primary" disabled={!ready || sending.isLoading} onClick={() => void use()}>
            {ready ? `Use ${rounded}° as the trial` : 'Use as the trial'}
          </button>
          <button type="button" className="btn" onClick={close}>
            Another picture
          </button>
        </div>
      </div>
    </div>
  );
}

interface Told {
  readonly angle?: PictureAngle;
  readonly problem?: string;
}

function angleOf(
  template: PictureTemplate,
  marks: Marks,
  {
    facing,
    side,
    picking,
    sex,
  }: {
    readonly facing: 'left' | 'right' | undefined;
    readonly side: BodySide;
    readonly picking: number;
    readonly sex: TraineeReply['sex'];
  },
): Told {
  const reference = laid(marks);
  try {
    const options = { facing, side, picking, ...(reference ? { reference } : {}), ...(sex === 'female' || sex === 'male' ? { sex } : {}) };
    return { angle: readPicture(template, marks.points, options) };
  } catch (error) {
    return { problem: error instanceof Error ? error.message : 'These landmarks give no angle.' };
  }
}
