import { readdirSync, readFileSync } from 'node:fs';
import { DOORS, drawFloors, FLOORS } from './floors.mjs';

const architecture = readFileSync('ARCHITECTURE.md', 'utf8');
const foldersOf = (area) =>
  readdirSync(`src/${area}`, { withFileTypes: true })
    .filter((entry) => entry.isDirectory() && entry.name !== 'testing')
    .map((entry) => entry.name);

describe('the floors of the house', () => {
  it.each(Object.keys(FLOORS))('name each room of %s once', (area) => {
    const rooms = FLOORS[area].flat().filter((room) => room !== 'root');
    expect([...rooms].sort()).toEqual(foldersOf(area).sort());
  });

  it.each(['ui', 'server', 'formats'])('are drawn in ARCHITECTURE.md as imports are held to: %s', (area) => {
    expect(architecture).toContain(`\`\`\`floors of src/${area}\n${drawFloors(area)}\n\`\`\``);
  });

  it('have doors that are there', () => {
    for (const [room, doors] of Object.entries(DOORS)) {
      const files = readdirSync(`src/${room}`).map((name) => name.replace(/\.tsx?$/, ''));
      expect([room, doors.filter((door) => !files.includes(door))]).toEqual([room, []]);
    }
  });
});
