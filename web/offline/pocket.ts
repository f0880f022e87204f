/** Small things that this browser keeps between pages. One that keeps nothing, or is full, keeps them as long as the page is open. */
const inPage = new Map<string, string>();

const PREFIX = 'jardinier.';

let isRefused = false;

/** Whether the browser refused to keep something. */
export const pocketIsRefused = (): boolean => isRefused;

export function fromPocket(name: string): string | null {
  try {
    return inPage.get(name) ?? localStorage.getItem(PREFIX + name);
  } catch {
    isRefused = true;
    return inPage.get(name) ?? null;
  }
}

export function intoPocket(name: string, value: string): void {
  try {
    localStorage.setItem(PREFIX + name, value);
    inPage.delete(name);
  } catch {
    isRefused = true;
    inPage.set(name, value);
  }
}

export function outOfPocket(name: string): void {
  inPage.delete(name);
  try {
    localStorage.removeItem(PREFIX + name);
  } catch {
    isRefused = true;
  }
}

/** The names of all that lies there and begins so. */
export function namesInPocket(begin: string): string[] {
  const names = [...inPage.keys()];
  try {
    names.push(...Object.keys(localStorage).flatMap((key) => (key.startsWith(PREFIX) ? key.slice(PREFIX.length) : [])));
  } catch {
    isRefused = true;
  }
  return names.filter((name) => name.startsWith(begin));
}
