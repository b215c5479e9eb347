/** Parts by index on the shelf, zeros written out. */
export function spreadOut(members: ArrayLike<number>, amounts: ArrayLike<number>, n: number): Uint8Array {
  const parts = new Uint8Array(n);
  for (let i = 0; i < members.length; i++) parts[members[i]!] = amounts[i]!;
  return parts;
}

/** Members and amounts of parts written out. */
export function gathered(parts: ArrayLike<number>): { members: number[]; amounts: number[] } {
  const members: number[] = [];
  const amounts: number[] = [];
  for (let i = 0; i < parts.length; i++) {
    const amount = parts[i]!;
    if (amount === 0) continue;
    members.push(i);
    amounts.push(amount);
  }
  return { members, amounts };
}

/** Greatest common divisor; of 0 and a number, that number. */
export function gcd(a: number, b: number): number {
  while (b !== 0) [a, b] = [b, a % b];
  return a;
}
