/** The columns: name, time, and one for each right. */
export const COLUMNS = '168px minmax(120px, 1fr) repeat(7, 54px) 30px'
