/** Bytes as people say them: "3.2 MB", "640 kB". A megabyte is 10⁶ bytes. */
export const megabytes = (bytes: number): string =>
  bytes >= 1e9
    ? `${(bytes / 1e9).toFixed(1)} GB`
    : bytes > 999e3
      ? `${(bytes / 1e6).toFixed(1)} MB`
      : `${Math.ceil(bytes / 1e3)} kB`
