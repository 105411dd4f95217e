'use client';
import { useEffect, useRef, type PointerEvent } from 'react';
import { Button, Form } from 'react-bootstrap';
import { sayMs } from '@/core/words/numbers';
import { momentsOf, STARTS, type Start } from '@/core/launch/timeline';
import { useWorkbench } from '../state/context';
import { Choices } from '../parts/Choices';
import { SPEEDS, useClock, useClockState } from './clock';
import type { Film, Starting } from './launched';

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

/** The stages over time, with where the film is: dragged, or moved with the arrow keys. */
export function TimeBar({ film, loadingMs }: { film: Film; loadingMs: number }) {
  const clock = useClock();
  const scenes = useWorkbench((s) => s.documents.scenes);
  const track = useRef<HTMLDivElement>(null);
  const handle = useRef<HTMLSpanElement>(null);
  const time = useRef<HTMLElement>(null);
  const { timeline, plain } = film;
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
  const seek = (e: PointerEvent) => {
    const box = track.current!.getBoundingClientRect();
    clock.pause();
    clock.seek(((e.clientX - box.left) / box.width) * end);
  };
  const moments = momentsOf(timeline);
  const share = (ms: number) => `${(Math.min(ms, end) / end) * 100}%`;
  return (
    <div className="time-bar">
      <p className="figures">
        <b ref={time}>0.00 s</b>{' '}
        <span className="quiet">of {sayMs(timeline.readyMs)} until the first screen is there</span>
      </p>
      <div
        ref={track}
        className="time-track"
        onPointerDown={(e) => {
          e.currentTarget.setPointerCapture(e.pointerId);
          seek(e);
        }}
        onPointerMove={(e) => {
          if (e.buttons === 1) seek(e);
        }}
      >
        {timeline.spans.map((s) => {
          const name = plain[s.index]!.empty ? 'nothing' : scenes[plain[s.index]!.scene]?.name;
          const stop = Math.min(s.end, end);
          return (
            <span
              key={s.index}
              className="time-stage"
              title={`${name}: ${sayMs(s.start)} to ${Number.isFinite(s.end) ? sayMs(s.end) : 'the end'}`}
              style={{ left: share(s.start), width: `${((stop - s.start) / end) * 100}%` }}
            >
              {s.fadeMs > 0 && (
                <span
                  className="time-fade"
                  style={{ width: `${(Math.min(s.fadeMs, stop - s.start) / (stop - s.start)) * 100}%` }}
                />
              )}
              <span className="time-name">{name}</span>
            </span>
          );
        })}
        <span
          className="time-loading"
          style={{ left: share(loadingMs) }}
          title={`Loaded at ${sayMs(loadingMs)}`}
        />
        <span
          ref={handle}
          className="time-handle"
          role="slider"
          tabIndex={0}
          aria-label="Time from the tap"
          aria-valuemin={0}
          aria-valuemax={Math.round(end)}
          aria-valuenow={0}
          onKeyDown={(e) => {
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
          }}
        />
      </div>
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
