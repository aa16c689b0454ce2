/** A picture in shades of grey, 0 black to 255 white, row by row from the upper left. */
export interface GreyImage {
  readonly width: number;
  readonly height: number;
  readonly data: Float32Array;
}

/** A picture in shades of grey from one in red, green, blue and, with four channels, how opaque it is, over white. */
export function greyOf(
  rgb: Uint8Array | Uint8ClampedArray,
  width: number,
  height: number,
  channels: 3 | 4,
): GreyImage {
  const data = new Float32Array(width * height);
  for (let i = 0, k = 0; i < data.length; i++, k += channels) {
    // @see ITU-R BT.601, luma.
    const grey = 0.299 * rgb[k] + 0.587 * rgb[k + 1] + 0.114 * rgb[k + 2];
    const opaque = channels === 4 ? rgb[k + 3] / 255 : 1;
    data[i] = grey * opaque + 255 * (1 - opaque);
  }
  return { width, height, data };
}

/** The shade at a place between pixels' middles, by the four round it; null outside the picture. */
export function shadeAt({ width, height, data }: GreyImage, x: number, y: number): number | null {
  if (!(x >= 0 && y >= 0 && x <= width - 1 && y <= height - 1)) return null;
  const [i, k] = [Math.min(width - 2, Math.floor(x)), Math.min(height - 2, Math.floor(y))];
  if (i < 0 || k < 0) return data[Math.round(y) * width + Math.round(x)];
  const [u, v, at] = [x - i, y - k, k * width + i];
  return (
    (1 - v) * ((1 - u) * data[at] + u * data[at + 1]) +
    v * ((1 - u) * data[at + width] + u * data[at + width + 1])
  );
}

/** The picture smoothed by a bell curve of so many pixels' standard deviation; 0 leaves it. */
export function smoothed(image: GreyImage, sigmaPx: number): GreyImage {
  if (!(sigmaPx > 0)) return image;
  const reach = Math.max(1, Math.ceil(3 * sigmaPx));
  const kernel = Array.from({ length: 2 * reach + 1 }, (_, i) =>
    Math.exp(-((i - reach) ** 2) / (2 * sigmaPx * sigmaPx)),
  );
  const sum = kernel.reduce((s, k) => s + k, 0);
  const weights = Float32Array.from(kernel, (k) => k / sum);
  const { width, height, data } = image;
  const across = new Float32Array(data.length);
  const down = new Float32Array(data.length);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      let value = 0;
      for (let k = -reach; k <= reach; k++)
        value += weights[k + reach] * data[y * width + Math.min(width - 1, Math.max(0, x + k))];
      across[y * width + x] = value;
    }
  for (let y = 0; y < height; y++)
    for (let k = -reach; k <= reach; k++) {
      const row = Math.min(height - 1, Math.max(0, y + k)) * width;
      const weight = weights[k + reach];
      for (let x = 0; x < width; x++) down[y * width + x] += weight * across[row + x];
    }
  return { width, height, data: down };
}

/**
 * The shade that parts the dark from the light pixels best: the largest variance between the two classes.
 * @see Otsu, IEEE Trans. Syst. Man Cybern. 9 (1979).
 */
export function otsuThreshold({ data }: GreyImage): number {
  const counts = new Float64Array(256);
  for (const value of data) counts[Math.min(255, Math.max(0, Math.round(value)))]++;
  const all = counts.reduce((sum, n, i) => sum + n * i, 0);
  let [below, sumBelow, best, most] = [0, 0, 127, -1];
  for (let t = 0; t < 255; t++) {
    below += counts[t];
    sumBelow += counts[t] * t;
    const above = data.length - below;
    if (below === 0 || above === 0) continue;
    const apart = sumBelow / below - (all - sumBelow) / above;
    const variance = below * above * apart * apart;
    if (variance > most) [most, best] = [variance, t + 0.5];
  }
  return best;
}
