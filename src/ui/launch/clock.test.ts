import { Clock } from './clock';

/** Frames of the browser, one after another, and a time that only the test moves on. */
function browser() {
  let now = 1000;
  const asked: FrameRequestCallback[] = [];
  jest.spyOn(performance, 'now').mockImplementation(() => now);
  global.requestAnimationFrame = (f) => asked.push(f);
  global.cancelAnimationFrame = () => void asked.splice(0);
  return {
    frame(ms: number) {
      now += ms;
      for (const f of asked.splice(0)) f(now);
    },
    asked,
  };
}

afterEach(() => jest.restoreAllMocks());

describe('the clock of a film', () => {
  it('goes as time does, at its speed, and stops at the end', () => {
    const { frame, asked } = browser();
    const clock = new Clock();
    clock.setEnd(500);
    const times: number[] = [];
    clock.onTime((t) => times.push(t));
    clock.play();
    frame(100);
    clock.set({ speed: 0.1 });
    frame(100);
    expect(times).toEqual([0, 100, 110]);
    clock.set({ speed: 1 });
    frame(10_000);
    expect(times.at(-1)).toBe(500);
    expect(clock.state().playing).toBe(false);
    expect(asked).toEqual([]);
    clock.play();
    frame(20);
    expect(times.at(-1)).toBe(20);
  });

  it('begins anew where it is to run again and again', () => {
    const { frame } = browser();
    const clock = new Clock();
    clock.setEnd(300);
    clock.set({ loop: true });
    clock.play();
    frame(301);
    expect(clock.now()).toBe(0);
    frame(50);
    expect(clock.now()).toBe(50);
    expect(clock.state().playing).toBe(true);
  });

  it('goes to a time within the film, and tells who listens', () => {
    const { frame } = browser();
    const clock = new Clock();
    clock.setEnd(1000);
    const heard: number[] = [];
    const end = clock.onTime((t) => heard.push(t));
    clock.seek(400);
    clock.seek(-5);
    clock.seek(5000);
    end();
    clock.seek(10);
    expect(heard).toEqual([0, 400, 0, 1000]);
    clock.play();
    frame(5);
    clock.pause();
    frame(500);
    expect(clock.now()).toBe(15);
    clock.setEnd(8);
    expect(clock.now()).toBe(8);
  });
});
