<?php

declare(strict_types=1);

namespace App\Spec\Http;

use App\Http\Controller;
use App\Models\Aim;
use App\Record\KeepListed;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;
use Ustrel\Core\Field\Rate\RateBand;
use Ustrel\Core\Spec\Aims;

/** What the shop calls good, by crop and size of seed. */
final class AimController extends Controller
{
    #[OA\Get(path: '/api/aims', operationId: 'aims', tags: ['spec'])]
    #[OA\Response(response: 200, description: 'What the shop says, and what is typical', content: new OA\JsonContent(ref: '#/components/schemas/Aims'))]
    public function index(Request $request): JsonResponse
    {
        return new JsonResponse(new AimsView(
            array_values(Aim::query()->where('workshop_id', $this->user($request)->workshop_id)->orderBy('crop')->orderBy('size')->get()->map(AimView::of(...))->all()),
            ['singulation' => Aims::SINGULATION, 'rate_low' => -RateBand::TYPICAL, 'rate_high' => RateBand::TYPICAL, 'depth_band' => Aims::DEPTH_BAND, 'emergence_hours' => Aims::EMERGENCE_HOURS, 'spacing_cv' => Aims::SPACING_CV],
        ));
    }

    #[OA\Post(path: '/api/aims', operationId: 'addAim', tags: ['spec'])]
    #[OA\Response(response: 201, description: 'Added', content: new OA\JsonContent(ref: '#/components/schemas/Aim'))]
    public function store(Request $request, AimEdit $edit, KeepListed $keep): JsonResponse
    {
        return new JsonResponse(AimView::of($keep(new Aim(['workshop_id' => $this->user($request)->workshop_id]), $edit->columns(), null)), 201);
    }

    #[OA\Put(path: '/api/aims/{aim}', operationId: 'editAim', tags: ['spec'])]
    #[OA\Response(response: 200, description: 'Kept', content: new OA\JsonContent(ref: '#/components/schemas/Aim'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 409)]
    public function update(AimEdit $edit, Aim $aim, KeepListed $keep): JsonResponse
    {
        return new JsonResponse(AimView::of($keep($aim, $edit->columns(), $edit->revision)));
    }
}
