<?php

declare(strict_types=1);

namespace App\Season\Http;

use App\Http\Controller;
use App\Models\Planter;
use App\Record\Import\CsvFile;
use App\Record\Import\RefusedFile;
use App\Season\CountdownCalendar;
use App\Season\CountdownQuery;
use App\Season\FieldsCsv;
use App\Season\SaveSeason;
use App\Season\SeasonQuery;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;

final class SeasonController extends Controller
{
    public function __construct(
        private readonly SeasonQuery $seasons,
        private readonly CountdownQuery $countdown,
    ) {
    }

    #[OA\Get(path: '/api/planters/{planter}/season', operationId: 'season', tags: ['season'])]
    #[OA\Response(response: 200, description: 'The season that is being prepared: its plan, and what follows from it', content: new OA\JsonContent(ref: '#/components/schemas/Season'))]
    public function show(Planter $planter): JsonResponse
    {
        return $this->season($planter->load(['specSheet', 'workshop']));
    }

    #[OA\Put(path: '/api/planters/{planter}/season', operationId: 'planSeason', tags: ['season'])]
    #[OA\Response(response: 200, description: 'Kept', content: new OA\JsonContent(ref: '#/components/schemas/Season'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 409)]
    public function update(SeasonEdit $season, Planter $planter, SaveSeason $save): JsonResponse
    {
        return $this->season($save($planter, $season->columns(), $season->ofPlanter(), $season->revision)->load(['specSheet', 'workshop']));
    }

    #[OA\Get(path: '/api/planters/{planter}/season/speed', operationId: 'speedFor', description: 'At the same efficiency and the same fills', tags: ['season'])]
    #[OA\Parameter(name: 'acres_an_hour', description: 'A claimed pace, 0.1 to 1,000', in: 'query', required: true, schema: new OA\Schema(type: 'number'))]
    #[OA\Response(response: 200, description: 'The speed that it would need', content: new OA\JsonContent(required: ['mph'], properties: [new OA\Property(property: 'mph', description: 'Null where the fills alone take longer', type: 'number', nullable: true)]))]
    public function speed(Request $request, Planter $planter): JsonResponse
    {
        $claim = $request->validate(['acres_an_hour' => ['required', 'numeric', 'min:0.1', 'max:1000']], ['acres_an_hour.*' => __('season.claim')])['acres_an_hour'];
        $mph = $this->seasons->of($planter->load(['specSheet', 'workshop']))->pace->mphFor((float) $claim);

        return new JsonResponse(['mph' => $mph === null ? null : round($mph, 2)]);
    }

    #[OA\Get(path: '/api/planters/{planter}/season/fields.csv', operationId: 'exportFields', description: 'Columns: docs/formats.md', tags: ['season'])]
    #[OA\Response(response: 200, description: 'The fields of the season, one a line', content: new OA\MediaType(mediaType: 'text/csv', schema: new OA\Schema(type: 'string')))]
    public function fields(Planter $planter): Response
    {
        return self::file(FieldsCsv::write(SeasonQuery::plan($planter)->fields), $planter, "{$planter->season()}-fields.csv", 'text/csv; charset=UTF-8');
    }

    #[OA\Post(path: '/api/planters/{planter}/season/fields', operationId: 'readFields', description: 'Reads a table of fields; nothing is kept', tags: ['season'])]
    #[OA\RequestBody(required: true, content: new OA\MediaType(mediaType: 'multipart/form-data', schema: new OA\Schema(required: ['file'], properties: [new OA\Property(property: 'file', type: 'string', format: 'binary')])))]
    #[OA\Response(response: 200, description: 'The fields as they were read', content: new OA\JsonContent(required: ['fields'], properties: [new OA\Property(property: 'fields', type: 'array', items: new OA\Items(ref: '#/components/schemas/SeasonFieldEdit'))]))]
    public function readFields(Request $request, Planter $planter): JsonResponse
    {
        $request->validate(['file' => ['required', 'file', 'max:1024']], ['file.*' => __('season.file')]);
        try {
            return new JsonResponse(['fields' => FieldsCsv::read(CsvFile::open((string) $request->file('file')?->getRealPath()), $planter->workshop->number_style)]);
        } catch (RefusedFile $refused) {
            throw ValidationException::withMessages(['file' => $refused->getMessage()]);
        }
    }

    #[OA\Get(path: '/api/planters/{planter}/season/countdown.ics', operationId: 'exportCountdown', tags: ['season'])]
    #[OA\Response(response: 200, description: 'What has to be ready by when', content: new OA\MediaType(mediaType: 'text/calendar', schema: new OA\Schema(type: 'string')))]
    public function countdown(Planter $planter): Response
    {
        $view = $this->seasons->of($planter->load(['specSheet', 'workshop']));

        return self::file(CountdownCalendar::write($view, $this->countdown->of($view)), $planter, "{$planter->season()}-countdown.ics", 'text/calendar; charset=UTF-8');
    }

    private function season(Planter $planter): JsonResponse
    {
        $view = $this->seasons->of($planter);

        return new JsonResponse(SeasonView::of($view, $this->countdown->of($view), $this->countdown->notes($view)));
    }
}
