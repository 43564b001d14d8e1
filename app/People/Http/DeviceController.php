<?php

declare(strict_types=1);

namespace App\People\Http;

use App\Http\Controller;
use App\Models\People\DeviceSession;
use App\People\Devices;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

#[OA\Schema(schema: 'Device', required: ['id', 'agent', 'ip', 'is_this', 'last_seen_at'], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'agent', description: 'As the browser calls itself', type: 'string'),
    new OA\Property(property: 'ip', type: 'string'),
    new OA\Property(property: 'is_this', type: 'boolean'),
    new OA\Property(property: 'last_seen_at', type: 'string', format: 'date-time'),
])]
final class DeviceController extends Controller
{
    #[OA\Get(path: '/api/me/devices', operationId: 'devices', tags: ['people'])]
    #[OA\Response(response: 200, description: 'Where the caller is signed in, the newest first', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/Device')))]
    public function index(Request $request, Devices $devices): JsonResponse
    {
        $here = Devices::here($request);

        return new JsonResponse($devices->of($this->user($request))->map(static fn (DeviceSession $one): array => [
            'id' => $one->handle(), 'agent' => (string) $one->user_agent, 'ip' => (string) $one->ip_address, 'is_this' => $one->id === $here,
            'last_seen_at' => now()->setTimestamp($one->last_activity)->toIso8601ZuluString(),
        ])->values());
    }

    #[OA\Delete(path: '/api/me/devices/{device}', operationId: 'endDevice', tags: ['people'])]
    #[OA\Response(response: 204, description: 'Signed out there')]
    public function destroy(Request $request, string $device, Devices $devices): Response
    {
        return $devices->end($this->user($request), $device) ? response()->noContent() : throw new NotFoundHttpException;
    }

    #[OA\Delete(path: '/api/me/devices', operationId: 'endOtherDevices', tags: ['people'])]
    #[OA\Response(response: 204, description: 'Signed out everywhere but here')]
    public function others(Request $request, Devices $devices): Response
    {
        $devices->endAll($this->user($request), Devices::here($request));

        return response()->noContent();
    }
}
