/** Tools for drawing. */
export const say = {
  // Marks
  blank: 'blank',
  squared: 'squared',
  ruled: 'ruled',
  axes: 'axes',
  numberLine: 'number line',
}
