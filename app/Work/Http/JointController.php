<?php

declare(strict_types=1);

namespace App\Work\Http;

use App\Http\Controller;
use App\Models\Planter;
use App\Models\Work\Joint;
use App\Models\Workshop;
use App\Record\Change;
use App\Record\Document;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Lang;
use OpenApi\Attributes as OA;

/** What holds what comes off for work, and with what it is opened. */
final class JointController extends Controller
{
    #[OA\Get(path: '/api/planters/{planter}/joints', operationId: 'joints', tags: ['work'])]
    #[OA\Response(response: 200, description: 'Those that somebody has said something of', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/Joint')))]
    public function index(Planter $planter): JsonResponse
    {
        return new JsonResponse(array_map(static fn (Joint $of): JointView => JointView::of($of, $planter->row_count), array_values($planter->joints()->orderBy('step')->get()->all())));
    }

    #[OA\Put(path: '/api/planters/{planter}/joints/{step}', operationId: 'keepJoint', tags: ['work'])]
    #[OA\Parameter(name: 'step', description: 'What comes off, as a work card names it', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'Kept', content: new OA\JsonContent(ref: '#/components/schemas/Joint'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 409)]
    public function update(JointEdit $edit, Planter $planter, string $step, Change $change): JointView
    {
        abort_unless(Lang::has("step.{$step}"), 404);

        return JointView::of($change->ofWorkshop($planter->workshop_id, static function (Workshop $workshop) use ($planter, $step, $edit): Joint {
            $joint = Joint::query()->where(['planter_id' => $planter->id, 'step' => $step])->first() ?? new Joint(['workshop_id' => $workshop->id, 'planter_id' => $planter->id, 'step' => $step]);
            if (! Document::isKnown($joint, $edit->columns(), $edit->revision)) {
                $joint->fill($edit->columns() + ['revision' => $edit->revision + 1])->save();
            }

            return $joint->refresh();
        }), $planter->row_count);
    }
}
