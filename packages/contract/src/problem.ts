/** The one shape of an error answer (RFC 9457, `application/problem+json`). `detail` is a sentence for a person. */
export interface ProblemDetails {
  type: string;
  title: string;
  status: number;
  detail: string;
  /** places in a file or a form that are wrong; `path` is a JSON path */
  problems?: { path: string; reason: string }[];
}
