/** Tags as a person says them: A1, A2; H1 to H5; L1a and K2 by themselves. Runs of three and more are drawn together. */
export function sayTags(tags: readonly string[]): string {
  const parts = tags.map((tag) => /^(.*?)(\d+)$/.exec(tag));
  const said: string[] = [];
  for (let i = 0; i < tags.length;) {
    const first = parts[i];
    let j = i;
    while (first && parts[j + 1]?.[1] === first[1] && Number(parts[j + 1]?.[2]) === Number(parts[j]?.[2]) + 1) j++;
    if (j - i >= 2) said.push(`${tags[i]} to ${tags[j]}`);
    else said.push(...tags.slice(i, j + 1));
    i = j + 1;
  }
  return said.join(', ');
}
