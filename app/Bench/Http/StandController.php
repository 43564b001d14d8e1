<?php

declare(strict_types=1);

namespace App\Bench\Http;

use App\Http\Controller;
use App\Models\Bench\Device;
use Carbon\CarbonImmutable;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;

final class StandController extends Controller
{
    private const MOST = 20;

    #[OA\Get(path: '/api/stands', operationId: 'stands', tags: ['bench'])]
    #[OA\Response(response: 200, description: 'The workshop\'s test stands and row monitors', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/Stand')))]
    public function index(Request $request): JsonResponse
    {
        return new JsonResponse($this->user($request)->workshop->stands()->orderBy('id')->get()->map(StandView::of(...))->all());
    }

    #[OA\Post(path: '/api/stands', operationId: 'addStand', tags: ['bench'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(required: ['name'], properties: [
        new OA\Property(property: 'name', type: 'string', maxLength: 80),
        new OA\Property(property: 'kind', description: 'A test stand where it is left out', type: 'string', enum: [Device::STAND, Device::MONITOR]),
    ]))]
    #[OA\Response(response: 201, description: 'With its token, which is shown this once', content: new OA\JsonContent(required: ['stand', 'token'], properties: [
        new OA\Property(property: 'stand', ref: '#/components/schemas/Stand'),
        new OA\Property(property: 'token', type: 'string'),
    ]))]
    public function store(Request $request): JsonResponse
    {
        $told = $request->validate(['name' => ['required', 'string', 'max:80'], 'kind' => ['sometimes', 'string', Rule::in([Device::STAND, Device::MONITOR])]], ['name.*' => __('stand.name'), 'kind.*' => __('stand.kind')]);
        [$name, $kind] = [trim($told['name']), $told['kind'] ?? Device::STAND];
        if ($name === '') {
            throw ValidationException::withMessages(['name' => __('stand.name')]);
        }
        $user = $this->user($request);
        [$stand, $token] = DB::transaction(static function () use ($user, $name, $kind): array {
            $workshop = $user->workshop()->lock('for no key update')->firstOrFail();
            if ($workshop->stands()->count() >= self::MOST) {
                throw ValidationException::withMessages(['name' => __('stand.most', ['most' => self::MOST])]);
            }
            $stand = $workshop->stands()->create(['name' => $name, 'kind' => $kind, 'user_id' => $user->id, 'made_at' => CarbonImmutable::now()]);

            return [$stand, $stand->createToken($name, [$kind])->plainTextToken];
        });

        return new JsonResponse(['stand' => StandView::of($stand), 'token' => $token], 201);
    }

    #[OA\Delete(path: '/api/stands/{stand}', operationId: 'removeStand', description: 'Its token ends at once; what it delivered stays', tags: ['bench'])]
    #[OA\Response(response: 204, description: 'Gone')]
    public function destroy(Device $stand): JsonResponse
    {
        DB::transaction(static function () use ($stand): void {
            $stand->tokens()->delete();
            $stand->delete();
        });

        return new JsonResponse(null, 204);
    }
}
