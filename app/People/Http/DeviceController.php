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

final class DeviceController extends Controller
{
    #[OA\Get(path: '/api/me/devices', operationId: 'devices', tags: ['people'])]
    #[OA\Response(response: 200, description: 'Where the caller is signed in, the newest first', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/Device')))]
    public function index(Request $request, Devices $devices): JsonResponse
    {
        $here = Devices::here($request);

        return new JsonResponse($devices->of($this->user($request))->map(static fn (DeviceSession $one): DeviceView => new DeviceView(
            $one->handle(), (string) $one->user_agent, (string) $one->ip_address, $one->id === $here, now()->setTimestamp($one->last_activity),
        ))->values());
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
