<?php

declare(strict_types=1);

namespace App\People\Http;

use App\Http\Controller;
use App\Models\PaperSize;
use App\Models\Workshop;
use App\People\SetUpWorkshop;
use App\People\Tries;
use App\Yard\Currency;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Ustrel\Core\Measure\NumberStyle;
use Ustrel\Core\Measure\UnitSystem;

#[OA\Schema(schema: 'LinkSecret', required: ['link'], properties: [
    new OA\Property(property: 'link', description: 'What stands behind the # of the link', type: 'string', maxLength: 200),
])]
final class SetUpController extends Controller
{
    use EntersPeople;

    #[OA\Get(path: '/api/welcome', operationId: 'welcome', description: 'What the page before signing in says', tags: ['people'])]
    #[OA\Response(response: 200, description: 'Whether this installation is set up, and whether it holds made-up data', content: new OA\JsonContent(required: ['is_set_up', 'is_demo'], properties: [
        new OA\Property(property: 'is_set_up', type: 'boolean'),
        new OA\Property(property: 'is_demo', type: 'boolean'),
    ]))]
    public function show(): JsonResponse
    {
        return new JsonResponse(['is_set_up' => Workshop::query()->exists(), 'is_demo' => Workshop::query()->where('is_demo', true)->exists()]);
    }

    #[OA\Post(path: '/api/set-up', operationId: 'setUp', description: 'Once, with the link that the console printed', tags: ['people'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(required: ['link', 'workshop', 'time_zone', 'currency', 'units', 'name', 'email', 'password'], properties: [
        new OA\Property(property: 'link', type: 'string', maxLength: 200),
        new OA\Property(property: 'workshop', type: 'string', maxLength: 80),
        new OA\Property(property: 'time_zone', type: 'string'),
        new OA\Property(property: 'currency', description: 'ISO 4217', type: 'string'),
        new OA\Property(property: 'units', type: 'string', enum: ['in', 'mm']),
        new OA\Property(property: 'number_style', description: 'How the workshop writes numbers: 1,234.5 or 1.234,5; null where nobody said', type: 'string', enum: NumberStyle::class, nullable: true),
        new OA\Property(property: 'paper', type: 'string', enum: PaperSize::class),
        new OA\Property(property: 'name', description: 'Of the first person, who owns the workshop', type: 'string', maxLength: 80),
        new OA\Property(property: 'email', type: 'string'),
        new OA\Property(property: 'password', type: 'string'),
    ]))]
    #[OA\Response(response: 201, description: 'Set up and signed in', content: new OA\JsonContent(ref: '#/components/schemas/Me'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 429)]
    public function store(Request $request, SetUpWorkshop $setUp, Tries $tries): JsonResponse
    {
        $this->countLink($request, $tries);
        $secret = $this->secret($request);
        $given = $request->validate([
            'workshop' => ['required', 'string', 'max:80'],
            'time_zone' => ['required', 'string', 'timezone:all'],
            'currency' => ['required', 'string', new Currency],
            'units' => ['required', Rule::enum(UnitSystem::class)],
            'number_style' => ['sometimes', 'nullable', Rule::enum(NumberStyle::class)],
            'paper' => ['sometimes', 'required', 'string', Rule::enum(PaperSize::class)],
        ], ['workshop.*' => __('people.workshop_name'), 'time_zone.*' => __('error.time_zone'), 'currency.*' => __('people.currency'), 'units' => __('people.units'), 'number_style' => __('error.number_style'), 'paper' => __('error.paper')]);
        $owner = $this->person($request, [$given['workshop']]);
        $workshop = ['name' => trim($given['workshop'])] + array_intersect_key($given, ['time_zone' => 1, 'currency' => 1, 'units' => 1, 'number_style' => 1, 'paper' => 1]);
        $user = $this->onePerAddress(fn () => $setUp($secret, $workshop, $owner));

        return new JsonResponse($this->enter($request, $user), 201);
    }
}
