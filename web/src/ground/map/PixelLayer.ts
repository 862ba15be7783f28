/** Squares of one colour each, by the ten thousand: written as dots, since a canvas takes its time over each one it is told to fill. */
export class PixelLayer {
  private readonly canvas = document.createElement('canvas');
  private readonly context = this.canvas.getContext('2d')!;
  private image = this.context.createImageData(1, 1);
  private dots = new Uint32Array(this.image.data.buffer);
  private isEmpty = true;

  /** @param width,height dots */
  begin(width: number, height: number): void {
    if (this.canvas.width !== width || this.canvas.height !== height) {
      [this.canvas.width, this.canvas.height] = [width, height];
      this.image = this.context.createImageData(width, height);
      this.dots = new Uint32Array(this.image.data.buffer);
    } else if (!this.isEmpty) this.dots.fill(0);
    this.isEmpty = true;
  }

  /** @param x,y of its middle, dots  @param side dots  @param colour red in the lowest byte, opaque in the highest */
  square(x: number, y: number, side: number, colour: number): void {
    const { width, height } = this.image;
    const left = Math.round(x - side / 2);
    const top = Math.round(y - side / 2);
    const [right, bottom] = [Math.min(width, left + side), Math.min(height, top + side)];
    for (let row = Math.max(0, top); row < bottom; row++) {
      for (let column = Math.max(0, left); column < right; column++) this.dots[row * width + column] = colour;
    }
    this.isEmpty = false;
  }

  /** Lays the squares over what is painted. */
  end(onto: CanvasRenderingContext2D): void {
    if (this.isEmpty) return;
    this.context.putImageData(this.image, 0, 0);
    onto.save();
    onto.resetTransform();
    onto.drawImage(this.canvas, 0, 0);
    onto.restore();
  }
}
