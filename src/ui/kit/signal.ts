/** A value outside of React that screens can follow (`useSignal`). */
export class Signal<Value> {
  private readonly listeners = new Set<() => void>();

  constructor(private value: Value) {}

  readonly get = (): Value => this.value;

  set(value: Value): void {
    if (Object.is(value, this.value)) return;
    this.value = value;
    for (const listener of [...this.listeners]) listener();
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };
}
