import type { CardVersionView, RecipeDto } from '../app/api';
import { recipeDto } from '../../testing/sheet.fixture';
import { versionChanges } from './versionChanges';

const version = (change: Partial<RecipeDto> = {}, tastesLike = 'plum'): CardVersionView => ({
  id: 'v',
  revision: 1,
  changedBy: '',
  found: null,
  shotId: null,
  version: 1,
  runId: null,
  recipe: recipeDto(change),
  tastesLike,
  setBy: '',
  note: '',
  createdAt: '2026-03-01T06:00:00Z',
  updatedAt: '2026-03-01T06:00:00Z',
});

describe('what changed between versions', () => {
  it('names each figure with its old and new value', () => {
    const changes = versionChanges(version({ grind: 11.5, temperatureC: null }), version(), 'C');
    expect(changes).toEqual(['grind 12 → 11.5', 'temperature °C 93 → none']);
  });

  it('names a temperature in the shop’s unit', () => {
    const changes = versionChanges(version({ temperatureC: 94 }), version(), 'F');
    expect(changes).toEqual(['temperature °F 199 → 201']);
  });

  it('names window and words', () => {
    const now = version({ timeSeconds: { min: 25, max: 32 } }, 'cocoa');
    expect(versionChanges(now, version(), 'C')).toEqual(['window 27–33 → 25–32 s', 'words for its taste']);
  });

  it('says first, and says when nothing changed', () => {
    expect(versionChanges(version(), undefined, 'C')).toEqual(['first version']);
    expect(versionChanges(version(), version(), 'C')).toEqual(['confirmed as it was']);
  });
});
