declare module 'seedrandom/lib/alea' {
  export default function alea(seed: string): () => number;
}
