<?php

declare(strict_types=1);

namespace App\People\Http;

use App\Http\Controller;
use App\Models\People\Activity;
use App\Models\User;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Arr;
use OpenApi\Attributes as OA;

final class ActivityController extends Controller
{
    private const A_PAGE = 50;

    /** Of one line; a sheet that was copied has hundreds of figures. */
    private const MOST_CHANGES = 40;

    #[OA\Get(path: '/api/activity', operationId: 'activity', tags: ['people'])]
    #[OA\Parameter(name: 'before', description: 'Those before this one', in: 'query', schema: new OA\Schema(type: 'integer', minimum: 1))]
    #[OA\Response(response: 200, description: 'Who did what besides the record, the newest first', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/Activity')))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 403)]
    public function __invoke(Request $request): JsonResponse
    {
        $before = $request->validate(['before' => ['sometimes', 'integer', 'between:1,9000000000000000']])['before'] ?? null;
        $lines = Activity::query()
            ->where('workshop_id', $this->user($request)->workshop_id)
            ->when($before !== null, static fn (Builder $lines): Builder => $lines->where('id', '<', (int) $before))
            ->with('causer')
            ->orderByDesc('id')
            ->limit(self::A_PAGE)
            ->get();

        return new JsonResponse($lines->map(static fn (Activity $line): ActivityView => new ActivityView(
            id: $line->id,
            at: $line->created_at,
            who: $line->causer instanceof User ? $line->causer->name : null,
            what: $line->description,
            kind: $line->subject_type,
            name: $line->subject_name,
            changes: self::changes($line),
        )));
    }

    /** @return list<array{field: string, before: string|null, after: string|null}> */
    private static function changes(Activity $line): array
    {
        $said = $line->properties?->all() ?? [];
        [$old, $new] = array_map(static fn (string $which): array => Arr::dot(is_array($said[$which] ?? null) ? $said[$which] : []), ['old', 'attributes']);
        $changes = [];
        foreach (array_unique([...array_keys($old), ...array_keys($new)]) as $field) {
            [$before, $after] = [self::text($old[$field] ?? null), self::text($new[$field] ?? null)];
            if ($before !== $after) {
                $changes[] = ['field' => (string) $field, 'before' => $before, 'after' => $after];
            }
        }

        // What was made with hundreds of figures is a copy: its name says it.
        return $line->description === 'created' && count($changes) > self::MOST_CHANGES ? [] : array_slice($changes, 0, self::MOST_CHANGES);
    }

    private static function text(mixed $value): ?string
    {
        return match (true) {
            $value === null || $value === [] || $value === '' => null,
            is_bool($value) => $value ? 'yes' : 'no',
            is_scalar($value) => mb_strimwidth((string) $value, 0, 120, '…'),
            default => mb_strimwidth((string) json_encode($value), 0, 120, '…'),
        };
    }
}
