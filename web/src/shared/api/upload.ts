import { post } from './http'

/** Sends one file as a form. @throws Problem with what to do */
export function upload<T>(path: string, file: File): Promise<T> {
  const form = new FormData()
  form.append('file', file)
  return post<T>(path, form)
}
