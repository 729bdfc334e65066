import { killTest } from './kill-test.mjs';

/** `--kills N` (30), `--seed N`. Prints one line a kill, and what became of the writes; ends with 1 where one was lost. */
const option = (name, usual) => {
  const at = process.argv.indexOf(`--${name}`);
  return at < 0 ? usual : Number(process.argv[at + 1]);
};
const kills = option('kills', 30);
const seed = option('seed', Date.now() % 1_000_000);
console.log(`${kills} kills, seed ${seed}`);
try {
  const r = await killTest({ kills, seed, say: console.log });
  console.log(
    `\n${r.kills} kills in ${r.seconds.toFixed(0)} s: ${r.acknowledged} change sets acknowledged, all there; ` +
      `${r.refused} refused, none there; ${r.retries} sent again; back after ${r.recovery} ms (the middle one)`,
  );
} catch (error) {
  console.error(`\n${error instanceof Error ? error.stack : error}\nTo see it again: --kills ${kills} --seed ${seed}`);
  process.exitCode = 1;
}
