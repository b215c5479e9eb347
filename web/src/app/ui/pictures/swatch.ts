import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';

type Texture = 'bars' | 'slant' | 'dots' | 'specks' | 'flakes' | 'chips' | 'waves';

interface Look {
  ground: string;
  mark: string;
  texture: Texture;
}

/** One texture per family and one tone per grade: the same on every screen and on the printed card. */
const looks: [prefix: string, look: Look][] = [
  ['peat-fine', { ground: '#6b4e35', mark: '#3d2a1b', texture: 'slant' }],
  ['peat-medium', { ground: '#7d5d41', mark: '#49331f', texture: 'slant' }],
  ['peat-coarse', { ground: '#93714f', mark: '#533b25', texture: 'slant' }],
  ['peat-black', { ground: '#3a2c22', mark: '#77604b', texture: 'slant' }],
  ['coir', { ground: '#b07a4a', mark: '#6b431f', texture: 'waves' }],
  ['perlite', { ground: '#f7f7f3', mark: '#7c8a84', texture: 'dots' }],
  ['vermiculite', { ground: '#d6a957', mark: '#8a6420', texture: 'bars' }],
  ['sand', { ground: '#e2d3ad', mark: '#8f7b4d', texture: 'specks' }],
  ['grit', { ground: '#c9c8c8', mark: '#6f7172', texture: 'chips' }],
  ['pumice', { ground: '#dcd9d2', mark: '#857f75', texture: 'chips' }],
  ['scoria', { ground: '#a4675a', mark: '#54281f', texture: 'chips' }],
  ['bark', { ground: '#8a5a3c', mark: '#c69a70', texture: 'flakes' }],
  ['compost', { ground: '#3e3a2c', mark: '#8d9a5c', texture: 'specks' }],
  ['castings', { ground: '#4b4034', mark: '#a58f74', texture: 'dots' }],
  ['leaf', { ground: '#6e6233', mark: '#b5a967', texture: 'flakes' }],
  ['loam', { ground: '#8e6b46', mark: '#d5b78e', texture: 'specks' }],
  ['rice', { ground: '#e0c98a', mark: '#937a35', texture: 'flakes' }],
  ['mix', { ground: '#7a6a52', mark: '#d9cfbd', texture: 'specks' }],
  ['wood', { ground: '#e3cba3', mark: '#99763f', texture: 'waves' }],
];
const other: Look = { ground: '#b9c2bc', mark: '#4c5e55', texture: 'dots' };

const textures: Record<Texture, string> = {
  bars: 'M0 2h8M0 6h8',
  slant: 'M-2 6L6 -2M2 10L10 2',
  dots: 'M2 2h.01M6 6h.01',
  specks: 'M1 1h.01M5 2h.01M3 5h.01M7 7h.01',
  flakes: 'M1 3l3 -2M4 7l3 -2',
  chips: 'M1 1l2 0l-1 2zM5 5l2 0l-1 2z',
  waves: 'M0 3q2 -3 4 0t4 0M0 7q2 -3 4 0t4 0',
};

export function lookOf(id: string): Look {
  return looks.find(([prefix]) => id.startsWith(prefix))?.[1] ?? other;
}

let count = 0;

/** A material's own pattern. Fills the box that it is given. */
@Component({
  selector: 'app-swatch',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg width="100%" height="100%" aria-hidden="true">
      <defs>
        <pattern [attr.id]="id" width="8" height="8" patternUnits="userSpaceOnUse">
          <rect width="8" height="8" [attr.fill]="look().ground" />
          <path
            [attr.d]="path()"
            fill="none"
            [attr.stroke]="look().mark"
            stroke-width="1.6"
            stroke-linecap="round"
          />
        </pattern>
      </defs>
      <rect width="100%" height="100%" [attr.fill]="'url(#' + id + ')'" />
    </svg>
  `,
  styles: `
    :host {
      display: block;
      overflow: hidden;
      border: 1px solid var(--ink);
      border-radius: 3px;
    }
    svg {
      display: block;
    }
  `,
})
export class Swatch {
  readonly material = input.required<string>();
  protected readonly id = `swatch-${++count}`;
  protected readonly look = computed(() => lookOf(this.material()));
  protected readonly path = computed(() => textures[this.look().texture]);
}
