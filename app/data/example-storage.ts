/** A browser's storage, as far as letters and choices use it; `full`: it takes nothing more. Test support. */
export class ExampleStorage {
  private readonly map = new Map<string, string>()
  full = false
  get length(): number {
    return this.map.size
  }
  key(i: number): string | null {
    return [...this.map.keys()][i] ?? null
  }
  getItem(name: string): string | null {
    return this.map.get(name) ?? null
  }
  setItem(name: string, value: string): void {
    if (this.full) throw new Error('QuotaExceededError')
    this.map.set(name, value)
  }
  removeItem(name: string): void {
    this.map.delete(name)
  }
}
