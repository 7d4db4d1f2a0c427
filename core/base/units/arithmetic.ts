/** The small sums a number field accepts: numbers, + - * / and brackets, decimal point or comma, "1 1/2" as one and a half. */

/** The value of the sum, or undefined when it is not one. Never uses `eval`. */
export function evaluateSum(text: string): number | undefined {
  // A mixed number ("1 1/2") is the only place where a space means plus.
  const mixed = text.trim().replace(/(\d)\s+(\d+\/\d+)/g, '($1+$2)');
  // Two numbers side by side are a slip, not a larger number.
  if (/[\d.)]\s+[\d.(]/.test(mixed)) return undefined;
  const source = mixed.replace(/(\d),(\d)/g, '$1.$2').replace(/\s+/g, '');
  if (source === '' || source.length > 60) return undefined;
  let at = 0;

  function sum(): number {
    let value = product();
    while (source[at] === '+' || source[at] === '-') {
      const plus = source[at++] === '+';
      const next = product();
      value = plus ? value + next : value - next;
    }
    return value;
  }
  function product(): number {
    let value = factor();
    while (source[at] === '*' || source[at] === '×' || source[at] === '/') {
      const divide = source[at++] === '/';
      const next = factor();
      value = divide ? value / next : value * next;
    }
    return value;
  }
  function factor(): number {
    if (source[at] === '-' || source[at] === '−') {
      at++;
      return -factor();
    }
    if (source[at] === '(') {
      at++;
      const value = sum();
      return source[at++] === ')' ? value : Number.NaN;
    }
    const digits = /^(?:\d+\.?\d*|\.\d+)/.exec(source.slice(at))?.[0];
    if (digits === undefined) return Number.NaN;
    at += digits.length;
    return Number(digits);
  }

  const value = sum();
  return at === source.length && Number.isFinite(value) ? value : undefined;
}
