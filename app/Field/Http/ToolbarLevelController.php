<?php

declare(strict_types=1);

namespace App\Field\Http;

use App\Http\Controller;
use App\Models\Planter;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;
use Ustrel\Core\Measure\Amount;
use Ustrel\Core\Measure\Unit;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Judging\Answer;
use Ustrel\Core\Spec\Judging\Background;

final class ToolbarLevelController extends Controller
{
    #[OA\Get(path: '/api/planters/{planter}/toolbar-level', operationId: 'toolbarLevel', description: 'From two heights and the distance between them, or from an angle', tags: ['walk'])]
    #[OA\Parameter(name: 'front', description: 'Height of the frame at a front point, a length as typed', in: 'query', schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'rear', description: 'Height of the same tube at a rear point', in: 'query', schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'span', description: 'Between the two points, along the frame', in: 'query', schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'pitch', description: 'Degrees, nose-up positive, instead of the heights', in: 'query', schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'hitch', description: 'From the hitch point to the wheels that carry the planter', in: 'query', schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'The pitch, and how far the hitch has to move', content: new OA\JsonContent(required: ['pitch', 'verdict', 'hitch_move_mm'], properties: [
        new OA\Property(property: 'pitch', description: 'Degrees, nose-up positive', type: 'number'),
        new OA\Property(property: 'verdict', ref: '#/components/schemas/Verdict'),
        new OA\Property(property: 'hitch_move_mm', description: 'Up where positive; null where it may stay or its distance is not known', type: 'number', nullable: true),
    ]))]
    public function __invoke(ToolbarLevelRequest $request, Planter $planter): JsonResponse
    {
        $check = $planter->load('specSheet')->readSheet()->check(CheckKey::from('toolbar_pitch'));
        abort_if($check === null, 404);
        $degrees = static fn (string $figure): float => Unit::Degree->valueOf($check->figures[$figure]->quantity);
        $level = $request->level($degrees('low'), $degrees('high'));
        $pitch = Amount::ofThousandths((int) round($level->pitch * Amount::STEPS_PER_UNIT), Unit::Degree);

        return new JsonResponse([
            'pitch' => Unit::Degree->valueOf($pitch),
            'verdict' => $check->judge(Answer::figure($pitch), Background::of())->verdict->value,
            'hitch_move_mm' => $level->hitchMove?->toMillimetres(),
        ]);
    }
}
