import { faults } from './faults.mjs';
import { fuzz } from './fuzz.mjs';
import { killTest } from './kill-test.mjs';

/**
 * `kills`, `fuzz` or `faults`, then `--times N`, `--seed N`. Prints what was done and what became of it; ends with 1
 * where something is not as it should be, with how to see it again.
 */
const option = (name, usual) => {
  const at = process.argv.indexOf(`--${name}`);
  return at < 0 ? usual : Number(process.argv[at + 1]);
};
const seed = option('seed', Date.now() % 1_000_000);
const say = console.log;

const PARTS = {
  async kills() {
    const kills = option('times', 200);
    say(`${kills} kills, seed ${seed}`);
    const r = await killTest({ kills, seed, say });
    say(
      `${r.kills} kills in ${r.seconds.toFixed(0)} s: ${r.acknowledged} change sets acknowledged, all there; ` +
        `${r.refused} refused, none there; ${r.retries} sent again; back after ${r.recovery} ms (the middle one)`,
    );
  },
  async fuzz() {
    const times = option('times', 100_000);
    say(`${times} hostile requests, seed ${seed}`);
    const r = await fuzz({ times, seed, rest: times >= 10_000, say });
    say(`in ${r.seconds.toFixed(0)} s; answered ${JSON.stringify(r.statuses)}; made ${JSON.stringify(r.made)}`);
    say(
      `the slowest answer ${r.slowest.ms.toFixed(0)} ms (${r.slowest.what}); health ${r.health.middle.toFixed(1)} ms, the middle of ` +
        `${r.health.asked}, ${r.health.most.toFixed(0)} ms at most; the thread that answers busy ${r.busy.toFixed(0)} ms at most ` +
        `(late by ${r.late.toFixed(0)} ms, with the time that it waited for a processor); ` +
        `${r.memory.toFixed(0)} MB afterwards`,
    );
  },
  async faults() {
    await faults({ seed, say });
  },
};

const [part = ''] = process.argv.slice(2);
try {
  if (!PARTS[part]) throw new Error(`there is no part “${part}”; there are ${Object.keys(PARTS).join(', ')}`);
  await PARTS[part]();
} catch (error) {
  console.error(`\n${error instanceof Error ? error.stack : error}\nTo see it again: ${part} --seed ${seed}`);
  process.exitCode = 1;
}
