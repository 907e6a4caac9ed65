import { say } from '../../languages/en/desk/board'
import { HIGH, WIDE } from '../drawing/geometry'

/** The picture under a page, as large as the page lets it be. */
export function UnderPage({ path, under }: { path: string; under: { file: string } }) {
  return (
    <image
      href={`${path}/pictures/${encodeURIComponent(under.file)}`}
      width={WIDE}
      height={HIGH}
      preserveAspectRatio={say.xMidYMidMeet}
    />
  )
}
