<?php

declare(strict_types=1);

namespace App\Field\Http;

use App\Field\DiagnosisQuery;
use App\Http\Controller;
use App\Http\JsonBody;
use App\Models\Planter;
use App\Record\Fields;
use App\Record\Refused;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;
use Ustrel\Core\Field\Diagnosis\DiagnosisTable;
use Ustrel\Core\Field\Diagnosis\Symptom;

final class DiagnosisController extends Controller
{
    #[OA\Post(path: '/api/planters/{planter}/diagnosis', operationId: 'diagnose', description: 'By what is seen and by the row’s own record; nothing is kept', tags: ['field'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(required: ['row'], properties: [
        new OA\Property(property: 'row', type: 'integer', minimum: 1),
        new OA\Property(property: 'seen', description: 'Left out: as the row’s last dig says', type: 'array', items: new OA\Items(ref: '#/components/schemas/Symptom'), nullable: true),
        new OA\Property(property: 'absent', description: 'Looked for, and not there', type: 'array', items: new OA\Items(ref: '#/components/schemas/Symptom')),
    ]))]
    #[OA\Response(response: 200, description: 'What it can be, the likeliest first', content: new OA\JsonContent(ref: '#/components/schemas/Diagnosis'))]
    public function __invoke(Request $request, Planter $planter, DiagnosisQuery $query): JsonResponse
    {
        $planter->load(['specSheet', 'workshop']);
        try {
            $fields = Fields::of(JsonBody::of($request), 'diagnosis.item');
            $row = $fields->whole('row', 1, $planter->row_count, 'dig.row') ?? throw Refused::because('row', 'dig.row');
            [$seen, $absent] = [self::symptoms($fields, 'seen'), self::symptoms($fields, 'absent')];
        } catch (Refused $refused) {
            throw ValidationException::withMessages([$refused->field => $refused->getMessage()]);
        }
        if (! $fields->has('seen')) {
            $dug = $query->dug($planter, $row);
            [$seen, $absent] = [$dug->seen ?? [], $dug->absent ?? []];
        }

        $checks = $planter->readSheet()->at($row)->checks;

        return new JsonResponse(DiagnosisView::of(DiagnosisTable::typical()->for($checks)->diagnose($seen, $absent, $query->record($planter, $row)), $checks, $seen, $absent));
    }

    /** @return list<Symptom> */
    private static function symptoms(Fields $fields, string $field): array
    {
        $symptoms = [];
        foreach ($fields->list($field, 'diagnosis.symptom') as $one) {
            $symptoms[] = (is_string($one) ? Symptom::tryFrom($one) : null) ?? throw Refused::because($field, 'diagnosis.symptom');
        }

        return array_values(array_unique($symptoms, SORT_REGULAR));
    }
}
