<?php

declare(strict_types=1);

namespace App\Spec\Http;

use App\Http\Controller;
use App\Models\SpecSheet;
use App\Spec\AddOwnCheck;
use App\Spec\CopySpecSheet;
use App\Spec\EditSpecSheet;
use App\Spec\PreviewSpecSheet;
use App\Spec\RemoveOwnCheck;
use App\Spec\ResetSpecSheet;
use App\Spec\VerdictChange;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;
use Ustrel\Core\Spec\CheckKey;

final class SpecSheetController extends Controller
{
    #[OA\Get(path: '/api/spec-sheets', operationId: 'specSheets', tags: ['spec'])]
    #[OA\Response(response: 200, description: 'The typical sheets and the workshop\'s own', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/SpecSheet')))]
    #[OA\Response(ref: '#/components/responses/SignedOut', response: 401)]
    public function index(Request $request): JsonResponse
    {
        $sheets = SpecSheet::usableBy($this->user($request)->workshop_id)->with('workshop.planters.specSheet')->orderByRaw('workshop_id NULLS FIRST, id')->get();

        return new JsonResponse($sheets->map(SpecSheetView::of(...))->all());
    }

    #[OA\Get(path: '/api/spec-sheets/{specSheet}', operationId: 'specSheet', tags: ['spec'])]
    #[OA\Response(response: 200, description: 'One sheet', content: new OA\JsonContent(ref: '#/components/schemas/SpecSheet'))]
    public function show(SpecSheet $specSheet): SpecSheetView
    {
        return SpecSheetView::of($specSheet);
    }

    #[OA\Put(path: '/api/spec-sheets/{specSheet}', operationId: 'editSpecSheet', tags: ['spec'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/SpecSheetEdit'))]
    #[OA\Response(response: 200, description: 'Kept; open walks are judged by it from now on', content: new OA\JsonContent(ref: '#/components/schemas/SpecSheet'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 403)]
    #[OA\Response(ref: '#/components/responses/Refused', response: 409)]
    public function update(SpecSheetRequest $request, SpecSheet $specSheet, EditSpecSheet $edit): SpecSheetView
    {
        return SpecSheetView::of($edit(
            $specSheet, $this->user($request)->units, $request->name(), $request->figures(), $request->notch(), $request->threads(), $request->string('version')->toString() ?: null,
        ));
    }

    #[OA\Post(path: '/api/spec-sheets/{specSheet}/preview', operationId: 'previewSpecSheet', tags: ['spec'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/SpecSheetEdit'))]
    #[OA\Response(response: 200, description: 'The verdicts of open walks that these figures would change; nothing is kept', content: new OA\JsonContent(type: 'array', items: new OA\Items(required: ['planter', 'row', 'check', 'side', 'from', 'to'], properties: [
        new OA\Property(property: 'planter', type: 'string'),
        new OA\Property(property: 'row', type: 'integer'),
        new OA\Property(property: 'check', ref: '#/components/schemas/CheckKey'),
        new OA\Property(property: 'side', ref: '#/components/schemas/Side'),
        new OA\Property(property: 'from', ref: '#/components/schemas/Verdict'),
        new OA\Property(property: 'to', ref: '#/components/schemas/Verdict'),
    ], type: 'object')))]
    public function preview(SpecSheetRequest $request, SpecSheet $specSheet, PreviewSpecSheet $preview): JsonResponse
    {
        $changes = $preview($specSheet, $this->user($request)->units, $request->name(), $request->figures(), $request->notch());

        return new JsonResponse(array_map(static fn (VerdictChange $change): array => (array) $change, $changes));
    }

    #[OA\Post(path: '/api/spec-sheets/{specSheet}/reset', operationId: 'resetSpecSheet', tags: ['spec'])]
    #[OA\Response(response: 200, description: 'Back to the typical figures', content: new OA\JsonContent(ref: '#/components/schemas/SpecSheet'))]
    public function reset(SpecSheet $specSheet, ResetSpecSheet $reset): SpecSheetView
    {
        return SpecSheetView::of($reset($specSheet));
    }

    #[OA\Post(path: '/api/spec-sheets/{specSheet}/own-checks', operationId: 'addOwnCheck', tags: ['spec'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/OwnCheck'))]
    #[OA\Response(response: 201, description: 'The sheet with the check; open walks ask for it from now on', content: new OA\JsonContent(ref: '#/components/schemas/SpecSheet'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 403)]
    public function addCheck(OwnCheckRequest $request, SpecSheet $specSheet, AddOwnCheck $add): JsonResponse
    {
        return new JsonResponse(SpecSheetView::of($add($specSheet, $this->user($request)->units, $request->check(), $request->limit())), 201);
    }

    #[OA\Delete(path: '/api/spec-sheets/{specSheet}/own-checks/{check}', operationId: 'removeOwnCheck', description: 'Doing it again is harmless', tags: ['spec'])]
    #[OA\Parameter(name: 'check', in: 'path', required: true, schema: new OA\Schema(ref: '#/components/schemas/CheckKey'))]
    #[OA\Response(response: 200, description: 'The sheet without the check; what was read of it stays on record', content: new OA\JsonContent(ref: '#/components/schemas/SpecSheet'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 403)]
    public function removeCheck(SpecSheet $specSheet, CheckKey $check, RemoveOwnCheck $remove): SpecSheetView
    {
        return SpecSheetView::of($remove($specSheet, $check));
    }

    #[OA\Post(path: '/api/spec-sheets/{specSheet}/copies', operationId: 'copySpecSheet', tags: ['spec'])]
    #[OA\Response(response: 201, description: 'The workshop\'s own copy', content: new OA\JsonContent(ref: '#/components/schemas/SpecSheet'))]
    public function copy(Request $request, SpecSheet $specSheet, CopySpecSheet $copy): JsonResponse
    {
        return new JsonResponse(SpecSheetView::of($copy($specSheet, $this->user($request))), 201);
    }
}
