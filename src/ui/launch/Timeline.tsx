'use client';
import { useEffect, useRef, type KeyboardEvent, type PointerEvent, type Ref } from 'react';
import { Button, Form } from 'react-bootstrap';
import { sayMs } from '@/core/words/numbers';
import { momentsOf, STARTS, type StageSpan, type Start } from '@/core/launch/timeline';
import { useWorkbench } from '../state/context';
import { Choices } from '../parts/Choices';
import { whilePressed } from '../parts/pointing';
import { SPEEDS, useClock, useClockState } from './clock';
import type { Film, Starting } from '../state/launched';

const START_WORDS: Record<Start, { label: string; title: string }> = {
  cold: { label: 'cold', title: 'With everything to load' },
  warm: { label: 'warm', title: 'The app was still in memory' },
};
/** Behind the last change some of the first screen is seen. */
const AFTER_MS = 600;

interface ControlsProps {
  starting: Starting;
  /** that the first windows of the launch name; none where they are told apart by screens alone */
  versions: readonly string[];
  onChange: (starting: Starting) => void;
}

/** Play, speed, and how the app is started. */
export function Controls({ starting, versions, onChange }: ControlsProps) {
  const clock = useClock();
  const { playing, speed, loop } = useClockState();
  return (
    <div className="film-controls">
      <Button variant="quiet" className="film-play" onClick={() => (playing ? clock.pause() : clock.play())}>
        {playing ? 'stop' : 'play'}
      </Button>
      <Choices
        label="at"
        options={SPEEDS}
        value={SPEEDS.find((s) => Number(s.value) === speed)?.value}
        onChoose={(value) => clock.set({ speed: Number(value) })}
      />
      <Form.Check
        type="checkbox"
        id="film-loop"
        label="loop"
        checked={loop}
        onChange={(e) => clock.set({ loop: e.target.checked })}
      />
      <Choices
        label="Start"
        options={STARTS.map((value) => ({ value, ...START_WORDS[value] }))}
        value={starting.start}
        onChoose={(start) => onChange({ ...starting, start })}
      />
      {versions.length > 0 && (
        <Choices
          label="Version"
          options={[{ value: '', label: 'any' }, ...versions.map((v) => ({ value: v, label: v }))]}
          value={starting.versions}
          onChoose={(v) => onChange({ ...starting, versions: v })}
        />
      )}
    </div>
  );
}

type Share = (ms: number) => string;

/** One stage over time, with how long it takes to appear. */
function StageBar({ film, span, end, share }: { film: Film; span: StageSpan; end: number; share: Share }) {
  const scenes = useWorkbench((s) => s.documents.scenes);
  const stage = film.plain[span.index]!;
  const name = stage.empty ? 'nothing' : scenes[stage.scene]?.name;
  const length = Math.min(span.end, end) - span.start;
  return (
    <span
      className="time-stage"
      title={`${name}: ${sayMs(span.start)} to ${Number.isFinite(span.end) ? sayMs(span.end) : 'the end'}`}
      style={{ left: share(span.start), width: `${(length / end) * 100}%` }}
    >
      {span.fadeMs > 0 && (
        <span className="time-fade" style={{ width: `${(Math.min(span.fadeMs, length) / length) * 100}%` }} />
      )}
      <span className="time-name">{name}</span>
    </span>
  );
}

/** Where the film is: moved with the arrow keys, from change to change with Page Up and Page Down. */
function TimeHandle({
  moments,
  end,
  ref,
}: {
  moments: readonly number[];
  end: number;
  ref: Ref<HTMLElement>;
}) {
  const clock = useClock();
  const onKeyDown = (e: KeyboardEvent) => {
    const steps: Record<string, number> = { ArrowLeft: -10, ArrowRight: 10 };
    const t = clock.now();
    const next = moments.find((m) => m > t + 0.5);
    const before = moments.findLast((m) => m < t - 0.5);
    const to =
      e.key in steps
        ? t + steps[e.key]! * (e.shiftKey ? 10 : 1)
        : { PageDown: before ?? 0, PageUp: next ?? end, Home: 0, End: end }[e.key];
    if (to === undefined) return;
    e.preventDefault();
    clock.pause();
    clock.seek(to);
  };
  return (
    <span
      ref={ref}
      className="time-handle"
      role="slider"
      tabIndex={0}
      aria-label="Time from the tap"
      aria-valuemin={0}
      aria-valuemax={Math.round(end)}
      aria-valuenow={0}
      onKeyDown={onKeyDown}
    />
  );
}

interface TrackProps {
  film: Film;
  loadingMs: number;
  end: number;
  share: Share;
  handle: Ref<HTMLElement>;
}

/** The stages in a row; a pointer that is pressed on them moves the film. */
function TimeTrack({ film, loadingMs, end, share, handle }: TrackProps) {
  const clock = useClock();
  const seek = (e: PointerEvent) => {
    const box = e.currentTarget.getBoundingClientRect();
    clock.pause();
    clock.seek(((e.clientX - box.left) / box.width) * end);
  };
  return (
    <div className="time-track" {...whilePressed(seek)}>
      {film.timeline.spans.map((span) => (
        <StageBar key={span.index} {...{ film, span, end, share }} />
      ))}
      <span
        className="time-loading"
        style={{ left: share(loadingMs) }}
        title={`Loaded at ${sayMs(loadingMs)}`}
      />
      <TimeHandle ref={handle} moments={momentsOf(film.timeline)} end={end} />
    </div>
  );
}

/** The stages over time, with where the film is: dragged, or moved with the arrow keys. */
export function TimeBar({ film, loadingMs }: { film: Film; loadingMs: number }) {
  const clock = useClock();
  const handle = useRef<HTMLElement>(null);
  const time = useRef<HTMLElement>(null);
  const { timeline } = film;
  const end = Math.max(timeline.readyMs, loadingMs) + AFTER_MS;
  useEffect(() => clock.setEnd(end), [clock, end]);
  // The time is written straight into the page, sixty times a second.
  useEffect(
    () =>
      clock.onTime((t) => {
        if (!handle.current || !time.current) return;
        handle.current.style.left = `${(t / end) * 100}%`;
        handle.current.setAttribute('aria-valuenow', String(Math.round(t)));
        handle.current.setAttribute('aria-valuetext', sayMs(t));
        time.current.textContent = `${(t / 1000).toFixed(2)} s`;
      }),
    [clock, end],
  );
  const share: Share = (ms) => `${(Math.min(ms, end) / end) * 100}%`;
  return (
    <div className="time-bar">
      <p className="figures">
        <b ref={time}>0.00 s</b>{' '}
        <span className="quiet">of {sayMs(timeline.readyMs)} until the first screen is there</span>
      </p>
      <TimeTrack {...{ film, loadingMs, end, share, handle }} />
      <div className="time-ticks figures quiet" aria-hidden="true">
        {timeline.spans.map((s) => (
          <span key={s.index} style={{ left: share(s.start) }}>
            {sayMs(s.start)}
          </span>
        ))}
        <span className="time-tick-loading" style={{ left: share(loadingMs) }}>
          loaded {sayMs(loadingMs)}
        </span>
      </div>
    </div>
  );
}
