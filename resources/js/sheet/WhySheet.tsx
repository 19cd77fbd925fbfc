export function WhySheet(_: { onVantage: (id: string, when?: number) => void; [key: string]: unknown }) { return null; }
