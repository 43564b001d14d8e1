<?php

declare(strict_types=1);

namespace App\Yard\Http;

use App\Http\Controller;
use App\Http\JsonBody;
use App\Models\FirstDay\State;
use App\Models\FirstDay\Step;
use App\Yard\FirstDay\FirstDay;
use App\Yard\FirstDay\SamplePlanter;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;

final class FirstDayController extends Controller
{
    #[OA\Get(path: '/api/first-day', operationId: 'firstDay', tags: ['yard'])]
    #[OA\Response(response: 200, description: 'The first steps of the shop: done, skipped or open', content: new OA\JsonContent(ref: '#/components/schemas/FirstDay'))]
    public function show(Request $request, FirstDay $firstDay): FirstDayView
    {
        return FirstDayView::of($this->user($request)->workshop, $firstDay);
    }

    #[OA\Put(path: '/api/first-day', operationId: 'markFirstDay', description: 'What the record shows stays done', tags: ['yard'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(required: ['step', 'state'], properties: [
        new OA\Property(property: 'step', type: 'string', enum: Step::class),
        new OA\Property(property: 'state', description: 'done only where the record does not show it', type: 'string', enum: State::class),
    ]))]
    #[OA\Response(response: 200, description: 'Marked, skipped, or taken up again', content: new OA\JsonContent(ref: '#/components/schemas/FirstDay'))]
    public function mark(Request $request, FirstDay $firstDay): FirstDayView
    {
        $body = JsonBody::of($request);
        $step = is_string($body['step'] ?? null) ? Step::tryFrom($body['step']) : null;
        $state = is_string($body['state'] ?? null) ? State::tryFrom($body['state']) : null;
        if ($step === null || $state === null || ($state === State::Done && ! $step->isSaid())) {
            throw ValidationException::withMessages($step === null ? ['step' => __('first_day.step')] : ['state' => __('first_day.state')]);
        }
        $workshop = $this->user($request)->workshop;
        $firstDay->mark($workshop, $step, $state);

        return FirstDayView::of($workshop, $firstDay);
    }

    #[OA\Post(path: '/api/sample-planter', operationId: 'addSamplePlanter', description: 'A made-up planter to play with; it counts nowhere outside its own screens', tags: ['yard'])]
    #[OA\Response(response: 201, description: 'Added', content: new OA\JsonContent(ref: '#/components/schemas/FirstDay'))]
    public function addSample(Request $request, SamplePlanter $sample, FirstDay $firstDay): JsonResponse
    {
        $sample->add($this->user($request));

        return new JsonResponse(FirstDayView::of($this->user($request)->workshop, $firstDay), 201);
    }

    #[OA\Delete(path: '/api/sample-planter', operationId: 'removeSamplePlanter', description: 'With all that was done on it', tags: ['yard'])]
    #[OA\Response(response: 204, description: 'Removed, or there was none')]
    public function removeSample(Request $request, SamplePlanter $sample): Response
    {
        $sample->remove($this->user($request));

        return response()->noContent();
    }
}
