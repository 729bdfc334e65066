declare module 'virtual:finding-words' {
  import type { RuleWords } from '@dialoga/core/finding';

  const words: Readonly<Record<string, RuleWords>>;
  export default words;
}
