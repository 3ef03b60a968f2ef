import type { PictureDto, ReadingDto, TraineeReply } from '@myokinet/core/contracts';
import type { BodySide } from '@myokinet/core/anatomy';
import { type PictureAngle, type PictureTemplate, readPicture, wrapped } from '@myokinet/core/landmarks';
import { bandOfReading, type Measure } from '@myokinet/core/measuring';
import { trialProblemInWords } from '@myokinet/core/words';
import { format } from 'date-fns';
import { Undo2 } from 'lucide-react';
import { useState } from 'react';
import { nowInstant } from '../../client/clock.ts';
import { newId } from '../../client/newId.ts';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { usePixelWidth } from '../../kit/usePixelWidth.ts';
import { useKeepPictureMutation } from './endpoints.ts';
import { keptPicture } from './keptPicture.ts';
import { LandmarkList } from './LandmarkList.tsx';
import { laid, type Marks, newLevel } from './landmarks.ts';
import type { OpenPicture } from './openPicture.ts';
import { PictureCanvas, SHARE_OF_WINDOW } from './PictureCanvas.tsx';
import { type Facing, useMarks } from './useMarks.ts';

export interface PictureDeskProps {
  readonly picture: OpenPicture;
  readonly template: PictureTemplate;
  readonly measure: Measure;
  readonly trainee: TraineeReply;
  readonly side: BodySide;
  /** Which trial it is for. */
  readonly label: string;
  readonly take: (value: number, reading: ReadingDto) => void;
  readonly close: () => void;
}

/** A picture under the coach's hands: landmarks tapped into place one after another, and the angle with its error. */
export function PictureDesk({ picture, template, measure, trainee, side, label, take, close }: PictureDeskProps) {
  const { width, height } = picture;
  const desk = useMarks(picture, template, side);
  const { marks, view, facing, placing } = desk;
  const [sure, setSure] = useState(false);
  const [ofToday, setOfToday] = useState(false);
  const [keep, setKeep] = useState(true);
  const [failed, setFailed] = useState('');
  const [pictureId] = useState(newId);
  const [send, sending] = useKeepPictureMutation();
  const [box, pixels] = usePixelWidth<HTMLDivElement>(600);

  const missing = marks.points.filter((m) => !m.placedBy).length;
  const pending = marks.points.some((m) => m.placedBy === 'suggested');
  // A finger errs on the screen; on the picture that is as much as the screen shows it smaller.
  const across = Math.min(pixels, (SHARE_OF_WINDOW * window.innerHeight * width) / height);
  const error = desk.errorAt(across);
  const known = { facing: facing.way, side, sex: trainee.sex };
  const read = angleOf(template, marks, known);
  const rounded = read.angle && Math.round(read.angle.angle / measure.limits.step) * measure.limits.step;
  const limit = rounded === undefined ? undefined : trialProblemInWords(measure, rounded);
  // An angle against the direction of the check is asked about, never turned round by itself.
  const opposite = facing.way && (facing.way === 'right' ? 'left' : 'right');
  const otherWay = angleOf(template, marks, { ...known, facing: opposite }).angle?.angle;
  const turned = template.asks ? otherWay : wrapped(-(rounded ?? 0), 0);
  const backwards = missing === 0 && limit !== undefined && turned !== undefined && !trialProblemInWords(measure, Math.round(turned));
  // Seen the wrong way round, an arm short of straight up reads as much beyond it.
  const beyond = missing === 0 && rounded !== undefined && rounded > 180 && !limit;
  const older = olderThan(picture, nowInstant());
  const ready = rounded !== undefined && missing === 0 && !limit && (!beyond || sure) && (!older || ofToday);
  const placingName = template.landmarks.find((l) => l.id === placing?.id)?.name;
  const placed = marks.points.length - marks.points.filter((m) => !m.placedBy || m.placedBy === 'suggested').length;

  const use = async () => {
    if (!ready || !read.angle) return;
    setFailed('');
    const standardError = Math.round(read.angle.standardError * 100) / 100;
    const points = marks.points.map(({ id, x, y, placedBy, error: e }) => ({
      ...{ id, x, y, placedBy: placedBy ?? 'coach' },
      ...(e === undefined ? {} : { error: Math.round(e * 100) / 100 }),
    }));
    const reading: ReadingDto = { kind: 'picture', instrument: 'Picture', simulated: false, standardError, source: picture.source, points };
    if (!keep) {
      take(rounded, reading);
      return;
    }
    try {
      const { image, scale, ...size } = await keptPicture(picture);
      const scaled = points.map((p) => ({ ...p, x: p.x * scale, y: p.y * scale }));
      const body: PictureDto = {
        ...{ id: pictureId, takenAt: nowInstant(), measureId: measure.id, side, ...size, facing: facing.way ?? 'right', points: scaled },
        ...{ value: rounded, standardError, image },
      };
      const result = await send({ traineeId: trainee.id, body });
      if (result.data) take(rounded, { ...reading, pictureId, points: scaled });
    } catch (problem) {
      setFailed(problem instanceof Error ? problem.message : 'The picture could not be kept.');
    }
  };
  return (
    <div className="mt-2 grid gap-4 xl:grid-cols-[1fr_18rem]">
      <div ref={box}>
        <p role="status" aria-label="Next landmark" className="mb-1 min-h-6">
          <span className="aside text-sm">{label}. </span>
          {placing ? (
            <>
              Tap <span className="font-semibold">{placingName}</span>{' '}
              <span className="aside">
                ({placed + 1} of {marks.points.length}
                {placing.placedBy === 'suggested' ? ', suggested where the dashed ring is' : ''})
              </span>
            </>
          ) : (
            'All placed; drag one to correct it.'
          )}
        </p>
        {template.asks && (
          <fieldset className="mb-1 flex flex-wrap items-center justify-between gap-2">
            <legend className="float-start text-sm">
              {template.asks === 'head' ? 'On the picture the head lies' : 'On the picture the trainee faces'}
              {facing.found && (
                <span className="aside"> (found from the {template.asks === 'head' ? 'points' : 'nose'}; tap to change)</span>
              )}
            </legend>
            <span className="join">
              {(['left', 'right'] as const).map((way) => (
                <button
                  key={way}
                  type="button"
                  className={`btn join-item min-h-11 ${facing.way === way ? 'btn-neutral' : ''}`}
                  aria-pressed={facing.way === way}
                  onClick={() => {
                    desk.face(way);
                    setSure(false);
                  }}
                >
                  {way}
                </button>
              ))}
            </span>
          </fieldset>
        )}
        <PictureCanvas
          {...{ url: picture.url, width, height, template, marks, view, placing, look: desk.look, scale: across / width }}
          move={(id, x, y) => {
            desk.move(id, x, y, error);
            // Whoever looked, looked at the points as they were.
            setSure(false);
          }}
        />
        <div className="mt-1 flex flex-wrap items-center gap-2">
          {[1, 2, 4].map((zoom) => (
            <button
              key={zoom}
              type="button"
              className={`btn min-h-11 px-3 ${Math.abs(zoom - view.zoom) < 0.01 ? 'btn-neutral' : ''}`}
              aria-pressed={Math.abs(zoom - view.zoom) < 0.01}
              onClick={() => desk.look({ zoom, middle: placing?.placedBy === 'suggested' ? placing : view.middle })}
            >
              {zoom} ×
            </button>
          ))}
        </div>
        {missing === 0 && (read.problem ?? limit) && (
          <p role="alert" className="mt-1 text-error">
            {read.problem ?? limit}
          </p>
        )}
        {backwards && (
          <p role="status" className="state-mark mt-1">
            {`It reads ${rounded ?? 0}°: the other way round? ${template.asks ? 'Does the trainee face the other way' : 'Was it seen from the other side'}, or is a point misplaced?`}
          </p>
        )}
        {beyond && (
          <label className="state-mark mt-1 flex min-h-11 items-center gap-2">
            <input type="checkbox" className="checkbox" checked={sure} onChange={(e) => setSure(e.target.checked)} />
            {`Beyond straight up, ${rounded}° and not ${360 - rounded}°: I looked.`}
          </label>
        )}
        {older && (
          <label className="state-mark mt-1 flex min-h-11 items-center gap-2">
            <input type="checkbox" className="checkbox" checked={ofToday} onChange={(e) => setOfToday(e.target.checked)} />
            {`By its own data it was taken on ${older}. A check of today needs a picture of today: I took it today, the camera’s clock is wrong.`}
          </label>
        )}
        <ProblemNote error={sending.error} retry={() => void use()} />
        {failed && (
          <p role="alert" className="text-error">
            {failed}
          </p>
        )}
        <div className="sticky bottom-0 -mx-2 mt-1 flex flex-wrap items-center gap-2 bg-base-100 px-2 py-2">
          <button type="button" className="btn min-h-11 px-3" disabled={!desk.canUndo} onClick={desk.undo}>
            <Undo2 size={18} aria-hidden /> Undo
          </button>
          <span className="font-display min-w-28 text-center text-2xl font-semibold" role="status" aria-label="Angle">
            {read.angle && missing === 0 ? `${read.angle.angle.toFixed(0)}° ± ${bandOfReading(read.angle.standardError).toFixed(1)}°` : '–'}
          </span>
          <button
            type="button"
            className="btn btn-primary min-h-13 flex-1 text-lg whitespace-nowrap"
            disabled={!ready || sending.isLoading}
            onClick={() => void use()}
          >
            {ready ? `Use ${rounded}°${pending ? ', for information' : ''}` : 'Use'}
          </button>
        </div>
        <button type="button" className="btn min-h-11" onClick={close}>
          Another picture
        </button>
      </div>
      <div className="text-sm">
        <p className="aside">
          {missing > 0
            ? `${missing} of ${marks.points.length} landmarks still to be placed. Film ${template.view}.`
            : `From placing the points${template.needsLevel ? ' and the camera’s roll' : ''}, each as surely as the zoom allowed; one-sided 95%.`}
        </p>
        {missing === 0 &&
          read.angle?.warnings.map((w) => (
            <p key={w.kind} className="state-mark mt-1 border-s-4 border-warning ps-2">
              {w.sentence}
            </p>
          ))}
        <LandmarkList {...{ template, marks }} confirm={(id) => desk.confirm(id, error)} />
        <ModelNote model={desk.model} pending={pending} />
        <div className="mt-3 space-y-1.5">
          {template.needsLevel && (
            <>
              <label className="flex items-center justify-between gap-2">
                Something that hangs or lies level
                <select
                  className="select w-32"
                  value={marks.level?.kind ?? ''}
                  onChange={({ target: { value } }) =>
                    desk.setLevel(value ? newLevel(value as 'plumb' | 'floor', width, height) : undefined)
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
          <label className="flex min-h-11 items-center gap-2">
            <input type="checkbox" className="checkbox" checked={keep} onChange={(e) => setKeep(e.target.checked)} />
            Keep the picture on the record, on this machine
          </label>
          <p className="aside">Two fingers zoom. Keys: arrows move a landmark (Shift: ten pixels).</p>
        </div>
      </div>
    </div>
  );
}

function ModelNote({ model, pending }: { readonly model: ReturnType<typeof useMarks>['model']; readonly pending: boolean }) {
  if (model === 'none') return null;
  if (model === 'busy')
    return (
      <p role="status" className="mt-1">
        Looking for the points…
      </p>
    );
  return (
    <>
      <p role="status" className="mt-1">
        {'failed' in model
          ? model.failed
          : model.seen === 0
            ? 'The model saw none of the points. Place them by hand.'
            : `The model saw ${model.seen} of ${model.of} points, at least ${Math.round(100 * model.sure)}% sure. Tap where each truly is.`}
      </p>
      {pending && (
        <p className="state-mark mt-1">Suggested points that nobody has confirmed open no gate. The model tends to read arms 3–7° low.</p>
      )}
    </>
  );
}

/** A camera tells the time of its own place: within half a day it is today’s. */
const SAME_DAY_MS = 12 * 3_600_000;

/** The day a picture was taken, where that is not today. */
function olderThan({ takenAt }: OpenPicture, now: string): string | undefined {
  if (!takenAt || Math.abs(takenAt.getTime() - Date.parse(now)) <= SAME_DAY_MS) return undefined;
  return format(takenAt, 'd MMMM yyyy');
}

interface Told {
  readonly angle?: PictureAngle;
  readonly problem?: string;
}

interface Known {
  readonly facing: Facing;
  readonly side: BodySide;
  readonly sex: TraineeReply['sex'];
}

function angleOf(template: PictureTemplate, marks: Marks, { facing, side, sex }: Known): Told {
  const reference = laid(marks);
  try {
    const options = { facing, side, ...(reference ? { reference } : {}), ...(sex === 'female' || sex === 'male' ? { sex } : {}) };
    return { angle: readPicture(template, marks.points, options) };
  } catch (error) {
    return { problem: error instanceof Error ? error.message : 'These landmarks give no angle.' };
  }
}
