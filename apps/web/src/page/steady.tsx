import { memo, useLayoutEffect, useState, type ComponentType } from 'react';

type Handler = (...args: never[]) => unknown;

/**
 * A component that is drawn anew only when something other than its handlers changes; they always call the newest. For what is large and
 * stands beside what changes often.
 */
export function steady<P extends object>(
  Component: ComponentType<P>,
  same?: (a: Readonly<P>, b: Readonly<P>) => boolean,
): ComponentType<P> {
  const Inner = memo(Component, same) as unknown as ComponentType<P>;
  return function Steady(props: P) {
    return <Inner {...useSteadyHandlers(props)} />;
  };
}

function useSteadyHandlers<P extends object>(props: P): P {
  const [handlers] = useState(() => new Handlers());
  useLayoutEffect(() => handlers.take(props));
  const entries = Object.entries(props).map(([name, value]) => [
    name,
    typeof value === 'function' ? handlers.of(name, value as Handler) : (value as unknown),
  ]);
  return Object.fromEntries(entries) as P;
}

/** One function for each name, which calls the newest of that name. */
class Handlers {
  private readonly newest = new Map<string, Handler>();
  private readonly kept = new Map<string, Handler>();

  take(props: object): void {
    for (const [name, value] of Object.entries(props)) {
      if (typeof value === 'function') this.newest.set(name, value as Handler);
    }
  }

  of(name: string, first: Handler): Handler {
    let one = this.kept.get(name);
    if (!one) this.kept.set(name, (one = (...args) => (this.newest.get(name) ?? first)(...args)));
    return one;
  }
}
