/** What is shown of something long, and of how many. */
export interface Sample<Member> {
  readonly members: readonly Member[];
  readonly of: number;
}

/**
 * Some of many: the first, and those most likely to break a layout, which are the longest and the shortest label and
 * whatever is `notable`. In their own order, so that the sheet reads as the menu does.
 *
 * @param most how many at most
 */
export function sample<Member>(
  members: readonly Member[],
  most: number,
  { label, notable }: { readonly label: (member: Member) => string; readonly notable: (member: Member) => boolean },
): Sample<Member> {
  if (members.length <= most) return { members, of: members.length };
  const places = members.map((_, index) => index);
  const lengths = members.map((member) => label(member).length);
  const byLength = places.toSorted((one, other) => (lengths[other] ?? 0) - (lengths[one] ?? 0));
  const wanted = [...byLength.slice(0, 2), ...byLength.slice(-1)];
  const notables = places.filter((index) => {
    const member = members[index];
    return member !== undefined && notable(member);
  });
  const chosen = new Set<number>();
  const add = (from: readonly number[], upTo: number) => {
    for (const index of from) if (chosen.size < upTo) chosen.add(index);
  };
  add(wanted, most);
  add(notables, Math.ceil(most * 0.6));
  add(places, most);
  return { members: members.filter((_, index) => chosen.has(index)), of: members.length };
}
