<?php

declare(strict_types=1);

namespace App\Field\Http;

use App\Field\Watch\Listen;
use App\Http\Controller;
use App\Models\Bench\Device;
use App\Models\Field\WatchRun;
use App\Record\Refused;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;
use OpenApi\Attributes as OA;

/** What a row monitor says, and is told: docs/formats.md. It has a token that does nothing else. */
final class MonitorController extends Controller
{
    private const MOST_BYTES = 4_000_000;

    #[OA\Post(path: '/api/monitor/hello', operationId: 'monitorHello', description: 'For row monitors, by their token', security: [['stand' => []]], tags: ['monitor'])]
    #[OA\Response(response: 200, description: 'The planter that is to be watched; null where none is', content: new OA\JsonContent(required: ['ustrel', 'version', 'monitor', 'run'], properties: [
        new OA\Property(property: 'ustrel', type: 'string', enum: ['monitor']),
        new OA\Property(property: 'version', type: 'integer'),
        new OA\Property(property: 'monitor', type: 'string'),
        new OA\Property(property: 'run', required: ['id', 'planter', 'field', 'rows', 'last'], properties: [
            new OA\Property(property: 'id', type: 'string', format: 'uuid'),
            new OA\Property(property: 'planter', type: 'string'),
            new OA\Property(property: 'field', type: 'string'),
            new OA\Property(property: 'rows', type: 'integer'),
            new OA\Property(property: 'last', description: 'ms of the last moment that is known', type: 'integer', nullable: true),
        ], type: 'object', nullable: true),
    ]))]
    #[OA\Response(ref: '#/components/responses/SignedOut', response: 401)]
    public function hello(Request $request): JsonResponse
    {
        $monitor = $this->monitor($request);
        $monitor->update(['heard_at' => CarbonImmutable::now()]);
        $run = self::of($monitor)->whereIn('state', WatchRun::UNDER_WAY)->where(static fn (Builder $query): Builder => $query->whereNull('stand_id')->orWhere('stand_id', $monitor->id))->orderByDesc('made_at')->with('planter')->first();

        return new JsonResponse(['ustrel' => 'monitor', 'version' => 1, 'monitor' => $monitor->name, 'run' => $run === null ? null : [
            'id' => $run->id, 'planter' => $run->planter->name, 'field' => $run->field, 'rows' => $run->planter->row_count, 'last' => $run->last_ms,
        ]]);
    }

    #[OA\Post(path: '/api/monitor/runs/{run}', operationId: 'monitorTells', description: 'NDJSON: a moment a line', security: [['stand' => []]], tags: ['monitor'])]
    #[OA\RequestBody(required: true, content: new OA\MediaType(mediaType: 'application/x-ndjson', schema: new OA\Schema(type: 'string')))]
    #[OA\Response(response: 200, description: 'What was taken', content: new OA\JsonContent(required: ['last', 'new', 'refused', 'refused_lines'], properties: [
        new OA\Property(property: 'last', description: 'ms of the last moment that is known', type: 'integer', nullable: true),
        new OA\Property(property: 'new', type: 'integer'),
        new OA\Property(property: 'refused', description: 'Why lines could not be read, the first twenty', type: 'array', items: new OA\Items(type: 'string')),
        new OA\Property(property: 'refused_lines', type: 'integer'),
    ]))]
    #[OA\Response(ref: '#/components/responses/SignedOut', response: 401)]
    #[OA\Response(response: 409, description: 'The run is over, or another monitor tells of it')]
    #[OA\Response(response: 413, description: 'More than is read at once')]
    public function tells(Request $request, string $run, Listen $listen): JsonResponse
    {
        $monitor = $this->monitor($request);
        if (strlen($request->getContent()) > self::MOST_BYTES) {
            return new JsonResponse(['message' => __('watch.many', ['most' => Listen::MOST_LINES])], 413);
        }
        $of = Str::isUuid($run) ? self::of($monitor)->find($run) : null;
        if ($of === null) {
            return new JsonResponse(['message' => __('watch.no_run')], 404);
        }
        // The first that tells of it is its monitor: two would tell two clocks.
        WatchRun::query()->whereKey($of->id)->whereNull('stand_id')->update(['stand_id' => $monitor->id]);
        if (! WatchRun::query()->whereKey($of->id)->where('stand_id', $monitor->id)->exists()) {
            return new JsonResponse(['message' => __('watch.other_monitor')], 409);
        }
        try {
            $taken = $listen($of, $request->getContent());
        } catch (Refused $refused) {
            return new JsonResponse(['message' => $refused->getMessage()], $refused->field === 'run' ? 409 : 413);
        }

        return new JsonResponse(['last' => $taken->last, 'new' => $taken->new, 'refused' => $taken->refused, 'refused_lines' => $taken->refusedLines]);
    }

    /** @return Builder<WatchRun> of the monitor's own workshop, but for practice */
    private static function of(Device $monitor): Builder
    {
        return WatchRun::query()->toShow()->whereNull('practice')->whereIn('planter_id', $monitor->workshop->planters()->select('id'));
    }

    private function monitor(Request $request): Device
    {
        /** @var Device the routes that call this let nobody else in */
        return $request->user();
    }
}
