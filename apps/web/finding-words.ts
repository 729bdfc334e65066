import type { Plugin } from 'vite';

const NAME = 'virtual:finding-words';

/**
 * The words of all rules as data, taken from the rules as the core was built: the page says what was found, and never loads
 * what finds it.
 */
export function findingWords(): Plugin {
  return {
    name: 'finding-words',
    resolveId: (id) => (id === NAME ? `\0${NAME}` : null),
    async load(id) {
      if (id !== `\0${NAME}`) return null;
      const { RULES } = (await import('@dialoga/core/check')) as typeof import('@dialoga/core/check');
      const words = RULES.map(({ meta: { code, title, source, messages } }) => {
        const said = Object.entries(messages).map(([name, { headline, says, consequence, remedy }]) => {
          return [name, { headline, says, consequence, remedy }] as const;
        });
        return [code, { title, source, messages: Object.fromEntries(said) }] as const;
      });
      return `export default JSON.parse(${JSON.stringify(JSON.stringify(Object.fromEntries(words)))})`;
    },
  };
}
