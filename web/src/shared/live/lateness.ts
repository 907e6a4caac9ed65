/** So much later than the quickest news is late, in milliseconds; under the lower one a line carries again. */
const LATE = 1500
const IN_TIME = 500
/** How many of the last pieces of news are looked at, and how many late ones make a line weak. */
const LATEST = 5
const TOO_MANY = 3
/** The quickest of so many is what the line can do; the clocks of school and browser need not agree. */
const REMEMBERED = 120

/** Notices by how late news comes that a line became weak, and that it carries again. */
export class Lateness {
  private readonly ways: number[] = []
  weak = false

  /** News that the school told at one moment has come. Both in milliseconds, by the school's clock and by one's own. */
  heard(told: number, came: number) {
    this.ways.push(came - told)
    if (this.ways.length > REMEMBERED) this.ways.shift()
    const quickest = Math.min(...this.ways)
    const late = this.ways.slice(-LATEST).map((way) => way - quickest)
    if (late.filter((one) => one > LATE).length >= TOO_MANY) this.weak = true
    else if (late.length === LATEST && late.every((one) => one < IN_TIME)) this.weak = false
  }

  /** The device slept, or the line is a new one: what was before says nothing about now. */
  forget() {
    this.ways.length = 0
  }
}
