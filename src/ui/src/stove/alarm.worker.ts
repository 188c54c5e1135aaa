let timer: ReturnType<typeof setTimeout> | undefined;

self.onmessage = ({ data }: MessageEvent<number | null>) => {
  clearTimeout(timer);
  if (data !== null) timer = setTimeout(() => self.postMessage(null), data);
};
