import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { type SignId } from '#core/plants/cause-table';

interface Look {
  leaf: string;
  old: string;
  veins: string;
  edge: string;
  high: number;
  wide: number;
  soil: string;
  droop: number;
  spots: boolean;
  stem: string;
  extra: '' | 'flies' | 'mould' | 'film' | 'roots' | 'crumbs' | 'bare' | 'uneven';
}
const GREEN = 'var(--leaf)';
const PALE = 'var(--leaf-pale)';
const BROWN = 'var(--burnt)';
const healthy: Look = {
  ...{
    leaf: GREEN,
    old: GREEN,
    veins: 'var(--leaf-vein)',
    edge: 'none',
    high: 26,
    wide: 1,
    soil: 'var(--solid)',
  },
  ...{ droop: 0, spots: false, stem: 'var(--leaf)', extra: '' },
};
const looks: Readonly<Record<SignId, Partial<Look>>> = {
  'yellow-old': { old: PALE, leaf: 'var(--leaf-thin)' },
  'yellow-veins': { leaf: PALE, veins: GREEN },
  'yellow-edges': { edge: 'var(--leaf-edge)' },
  purple: { leaf: 'var(--leaf-purple)', old: 'var(--leaf-purple)', stem: 'var(--leaf-purple)' },
  stretched: { high: 46, wide: 0.7, leaf: 'var(--leaf-thin)', old: 'var(--leaf-thin)' },
  spotted: { spots: true, wide: 1.2 },
  stunted: { high: 12, wide: 0.6 },
  'wilt-wet': { droop: 14, soil: 'var(--ink)' },
  'stem-rot': { stem: BROWN, droop: 8 },
  'green-film': { extra: 'film' },
  mould: { extra: 'mould' },
  gnats: { extra: 'flies' },
  'burnt-tips': { edge: BROWN },
  uneven: { extra: 'uneven' },
  'none-up': { extra: 'bare' },
  roots: { extra: 'roots' },
  falls: { extra: 'crumbs' },
};

/** A seedling in its cell as it looks when something is wrong. The name stands beside it. */
@Component({
  selector: 'app-sign-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let l = look();
    @let top = 62 - l.high;
    <svg viewBox="0 0 72 96" aria-hidden="true">
      <path d="M14 62h44l-6 30H20z" [attr.fill]="l.soil" stroke="var(--ink)" stroke-width="2" />
      @if (l.extra === 'film') {
        <path d="M14 62h44l-1 6H15z" fill="var(--leaf)" />
      }
      @if (l.extra === 'mould') {
        <path
          d="M16 62q4 -7 8 0q4 -7 8 0q4 -7 8 0q4 -7 8 0q4 -7 8 0z"
          fill="var(--surface)"
          stroke="var(--muted)"
        />
      }
      @if (l.extra === 'roots') {
        <path d="M20 88h31M19 83h33M18 78h35M17 73h37" stroke="var(--air)" stroke-width="2" fill="none" />
      }
      @if (l.extra === 'crumbs') {
        <path d="M8 92l8 -8 4 8zM50 92l8 -12 8 12z" [attr.fill]="l.soil" stroke="var(--ink)" />
        <path d="M40 62l-6 10 8 8 -6 12" stroke="var(--surface)" stroke-width="3" fill="none" />
      }
      @if (l.extra !== 'bare') {
        <path [attr.d]="'M36 62V' + top" [attr.stroke]="l.stem" stroke-width="3" />
        <g [attr.stroke]="l.edge" stroke-width="3">
          <ellipse
            [attr.cx]="36 - 13 * l.wide"
            [attr.cy]="top + 10 + l.droop"
            [attr.rx]="12 * l.wide"
            ry="5"
            [attr.fill]="l.old"
            [attr.transform]="turned(l, -1)"
          />
          <ellipse
            [attr.cx]="36 + 13 * l.wide"
            [attr.cy]="top + 10 + l.droop"
            [attr.rx]="12 * l.wide"
            ry="5"
            [attr.fill]="l.old"
            [attr.transform]="turned(l, 1)"
          />
          <ellipse
            [attr.cx]="36 - 8 * l.wide"
            [attr.cy]="top"
            [attr.rx]="9 * l.wide"
            ry="5"
            [attr.fill]="l.leaf"
          />
          <ellipse
            [attr.cx]="36 + 8 * l.wide"
            [attr.cy]="top"
            [attr.rx]="9 * l.wide"
            ry="5"
            [attr.fill]="l.leaf"
          />
        </g>
        <path
          [attr.d]="'M' + (36 - 15 * l.wide) + ' ' + top + 'h' + 30 * l.wide"
          [attr.stroke]="l.veins"
          stroke-width="1.5"
        />
      }
      @if (l.extra === 'uneven') {
        <path d="M20 62v-6M52 62v-14" [attr.stroke]="l.stem" stroke-width="3" />
      }
      @if (l.spots) {
        <g fill="var(--burnt)">
          <circle cx="26" [attr.cy]="top" r="2" />
          <circle cx="44" [attr.cy]="top + 9" r="2.4" />
          <circle cx="24" [attr.cy]="top + 10" r="2" />
          <circle cx="42" [attr.cy]="top - 1" r="1.8" />
        </g>
      }
      @if (l.extra === 'flies') {
        <path
          d="M18 50l3 -3 3 3M48 44l3 -3 3 3M28 56l3 -3 3 3M54 56l3 -3 3 3"
          stroke="var(--ink)"
          stroke-width="2"
          fill="none"
        />
      }
    </svg>
  `,
  styles: `
    :host {
      display: block;
    }
    svg {
      display: block;
      width: 54px;
      height: 72px;
    }
  `,
})
export class SignPicture {
  readonly sign = input.required<SignId>();
  protected readonly look = computed((): Look => ({ ...healthy, ...looks[this.sign()] }));

  protected turned(look: Look, way: 1 | -1): string | null {
    return look.droop > 0
      ? `rotate(${way * 28} ${36 + way * 13 * look.wide} ${72 - look.high + look.droop})`
      : null;
  }
}
