/** A colour in two ways of writing it. */
interface Colour {
  /** as a canvas takes it */
  css: string;
  /** as a dot of an image: red in the lowest byte, opaque in the highest */
  dot: number;
}

/** The colours of the tokens, which differ by the look that is chosen, without their names. */
export class Colours {
  private theme: string | undefined;
  private readonly known = new Map<string, Colour>();
  private readonly one = Object.assign(document.createElement('canvas'), { width: 1, height: 1 }).getContext(
    '2d',
    { willReadFrequently: true },
  )!;

  of(named: string): Colour {
    const { theme } = document.documentElement.dataset;
    if (theme !== this.theme) this.known.clear();
    this.theme = theme;
    const known = this.known.get(named) ?? this.made(named);
    this.known.set(named, known);
    return known;
  }

  private made(named: string): Colour {
    const probe = document.createElement('span');
    probe.style.color = named;
    document.body.append(probe);
    const { color } = getComputedStyle(probe);
    probe.remove();
    this.one.clearRect(0, 0, 1, 1);
    this.one.fillStyle = color;
    this.one.fillRect(0, 0, 1, 1);
    const { data } = this.one.getImageData(0, 0, 1, 1);
    return { css: color, dot: new Uint32Array(data.buffer)[0]! };
  }
}
