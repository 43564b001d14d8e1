<?php

declare(strict_types=1);

namespace App\People\Http;

use App\Http\Controller;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Ustrel\Core\Measure\UnitSystem;

final class MeController extends Controller
{
    #[OA\Get(path: '/api/me', operationId: 'me', tags: ['people'])]
    #[OA\Response(response: 200, description: 'Who is signed in', content: new OA\JsonContent(ref: '#/components/schemas/Me'))]
    #[OA\Response(ref: '#/components/responses/SignedOut', response: 401)]
    public function show(Request $request): MeView
    {
        return MeView::of($this->user($request)->load('workshop'));
    }

    #[OA\Patch(path: '/api/me', operationId: 'updateMe', tags: ['people'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(properties: [
        new OA\Property(property: 'units', type: 'string', enum: ['in', 'mm']),
        new OA\Property(property: 'theme', type: 'string', enum: ['device', 'light', 'dark']),
    ]))]
    #[OA\Response(response: 200, description: 'Settings kept', content: new OA\JsonContent(ref: '#/components/schemas/Me'))]
    #[OA\Response(ref: '#/components/responses/SignedOut', response: 401)]
    public function update(Request $request): MeView
    {
        $settings = $request->validate([
            'units' => ['sometimes', Rule::enum(UnitSystem::class)],
            'theme' => ['sometimes', Rule::in(['device', 'light', 'dark'])],
        ]);
        $this->user($request)->update($settings);

        return $this->show($request);
    }
}
