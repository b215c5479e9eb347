import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';

/** What a squeezed handful looks like, by grade of the squeeze scale: grains, a clump, its cracks, its water. */
const pictures: readonly { clump: string; grains: string; cracks: string; water: string }[] = [
  // dusty: nothing holds
  {
    clump: '',
    grains:
      'M8 30h.01M14 33h.01M20 29h.01M26 33h.01M32 30h.01M38 33h.01M44 31h.01M17 25h.01M30 25h.01M36 27h.01M23 22h.01',
    cracks: '',
    water: '',
  },
  // crumbles: a few lumps
  {
    clump: 'M9 33q1-8 9-7t7 7zM27 33q0-6 6-6t8 6z',
    grains: 'M24 28h.01M46 32h.01M6 31h.01M22 33h.01',
    cracks: '',
    water: '',
  },
  // holds a clump and crumbs open
  {
    clump: 'M10 33q-3-17 16-18t17 18z',
    grains: 'M7 33h.01M46 32h.01',
    cracks: 'M26 16l-3 7 5 4-3 6M18 24l5 3M34 22l-6 5',
    water: '',
  },
  // holds and beads
  { clump: 'M10 33q-3-17 16-18t17 18z', grains: '', cracks: '', water: 'M18 22v2M30 20v2M36 27v2M24 28v2' },
  // oozes between the fingers
  {
    clump: 'M10 33q-3-15 16-16t17 16z',
    grains: '',
    cracks: '',
    water: 'M14 26v7M21 22v8M29 21v9M36 24v8M7 34h38',
  },
  // slurry
  { clump: 'M4 33q10-7 22-7t22 7z', grains: '', cracks: '', water: 'M2 34h48M8 30h10M24 29h14' },
];

@Component({
  selector: 'app-squeeze-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg width="52" height="38" viewBox="0 0 52 38" aria-hidden="true">
      <path [attr.d]="it().clump" fill="var(--solid)" />
      <path [attr.d]="it().grains" stroke="var(--solid)" stroke-width="3.4" stroke-linecap="round" />
      <path [attr.d]="it().cracks" fill="none" stroke="var(--surface)" stroke-width="2" />
      <path
        [attr.d]="it().water"
        fill="none"
        stroke="var(--water)"
        stroke-width="3.4"
        stroke-linecap="round"
      />
    </svg>
  `,
  host: { class: 'drawn' },
})
export class SqueezePicture {
  readonly grade = input.required<number>();
  protected readonly it = computed(() => pictures[this.grade()]!);
}
