<?php

declare(strict_types=1);

namespace App\Bench\Http;

use App\Bench\Stand\Ingest;
use App\Http\Controller;
use App\Models\Bench\Device;
use App\Models\Bench\StandRun;
use App\Record\Refused;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;
use OpenApi\Attributes as OA;

/** What a test stand says, and is told: docs/formats.md. It has a token that does nothing else. */
final class StandDeviceController extends Controller
{
    private const MOST_BYTES = 2_000_000;

    /** What was set up longer ago is forgotten: no stand is to start turning by it. */
    private const FRESH_HOURS = 12;

    #[OA\Post(path: '/api/stand/hello', operationId: 'standHello', description: 'For test stands, by their token', security: [['stand' => []]], tags: ['stand'])]
    #[OA\Response(response: 200, description: 'The run that is set up; null where none is', content: new OA\JsonContent(required: ['ustrel', 'version', 'stand', 'run'], properties: [
        new OA\Property(property: 'ustrel', type: 'string', enum: ['stand']),
        new OA\Property(property: 'version', type: 'integer'),
        new OA\Property(property: 'stand', type: 'string'),
        new OA\Property(property: 'run', required: ['id', 'planter', 'row', 'stage', 'seed', 'disc', 'cells', 'turns', 'air', 'places', 'next'], properties: [
            new OA\Property(property: 'id', type: 'string', format: 'uuid'),
            new OA\Property(property: 'planter', type: 'string'),
            new OA\Property(property: 'row', type: 'integer'),
            new OA\Property(property: 'stage', type: 'string'),
            new OA\Property(property: 'seed', type: 'string'),
            new OA\Property(property: 'disc', type: 'string'),
            new OA\Property(property: 'cells', type: 'integer'),
            new OA\Property(property: 'turns', type: 'number', nullable: true),
            new OA\Property(property: 'air', type: 'number', nullable: true),
            new OA\Property(property: 'places', type: 'integer'),
            new OA\Property(property: 'next', description: 'Number of the next seed that is not known', type: 'integer'),
        ], type: 'object', nullable: true),
    ]))]
    #[OA\Response(ref: '#/components/responses/SignedOut', response: 401)]
    public function hello(Request $request): JsonResponse
    {
        $stand = $this->stand($request);
        $stand->update(['heard_at' => CarbonImmutable::now()]);
        $run = self::of($stand)->whereIn('state', ['waiting', 'running'])->whereNull('practice')->where('made_at', '>=', now()->subHours(self::FRESH_HOURS))
            ->where(static fn (Builder $query): Builder => $query->whereNull('stand_id')->orWhere('stand_id', $stand->id))->orderByDesc('made_at')->with('planter')->first();

        return new JsonResponse(['ustrel' => 'stand', 'version' => 1, 'stand' => $stand->name, 'run' => $run === null ? null : [
            'id' => $run->id, 'planter' => $run->planter->name, 'row' => $run->row_number, 'stage' => $run->stage->value, 'seed' => $run->seed, 'disc' => $run->disc, 'cells' => $run->cells,
            'turns' => $run->turns === null ? null : (float) $run->turns, 'air' => $run->air === null ? null : (float) $run->air, 'places' => $run->allPlaces(), 'next' => $run->lastSeed() + 1,
        ]]);
    }

    #[OA\Post(path: '/api/stand/runs/{run}', operationId: 'standTells', description: 'NDJSON: a seed, a sample of air, or the end a line', security: [['stand' => []]], tags: ['stand'])]
    #[OA\RequestBody(required: true, content: new OA\MediaType(mediaType: 'application/x-ndjson', schema: new OA\Schema(type: 'string')))]
    #[OA\Response(response: 200, description: 'What was taken', content: new OA\JsonContent(required: ['next', 'new', 'refused', 'refused_lines', 'over'], properties: [
        new OA\Property(property: 'next', description: 'Number of the next seed that is not known', type: 'integer'),
        new OA\Property(property: 'new', type: 'integer'),
        new OA\Property(property: 'refused', description: 'Why lines could not be read, the first twenty', type: 'array', items: new OA\Items(type: 'string')),
        new OA\Property(property: 'refused_lines', type: 'integer'),
        new OA\Property(property: 'over', type: 'boolean'),
    ]))]
    #[OA\Response(ref: '#/components/responses/SignedOut', response: 401)]
    #[OA\Response(response: 409, description: 'The run is over')]
    #[OA\Response(response: 413, description: 'More than is read at once')]
    public function tells(Request $request, string $run, Ingest $ingest): JsonResponse
    {
        $stand = $this->stand($request);
        if (strlen($request->getContent()) > self::MOST_BYTES) {
            return new JsonResponse(['message' => __('stand.many', ['most' => Ingest::MOST_LINES])], 413);
        }
        $of = Str::isUuid($run) ? self::of($stand)->whereNull('practice')->find($run) : null;
        if ($of === null) {
            return new JsonResponse(['message' => __('stand.no_run')], 404);
        }
        if ($of->stand_id === null) {
            StandRun::query()->whereKey($of->id)->whereNull('stand_id')->update(['stand_id' => $stand->id]);
        }
        try {
            $taken = $ingest($of, $request->getContent());
        } catch (Refused $refused) {
            return new JsonResponse(['message' => $refused->getMessage()], $refused->field === 'run' ? 409 : 413);
        }

        return new JsonResponse(['next' => $taken->last + 1, 'new' => $taken->new, 'refused' => $taken->refused, 'refused_lines' => $taken->refusedLines, 'over' => $taken->hasEnded]);
    }

    /** @return Builder<StandRun> of the stand's own workshop */
    private static function of(Device $stand): Builder
    {
        return StandRun::query()->whereIn('planter_id', $stand->workshop->planters()->select('id'));
    }

    private function stand(Request $request): Device
    {
        /** @var Device the routes that call this let nobody else in */
        return $request->user();
    }
}
