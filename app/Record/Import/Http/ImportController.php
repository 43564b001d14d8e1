<?php

declare(strict_types=1);

namespace App\Record\Import\Http;

use App\Http\Controller;
use App\Models\Planter;
use App\Models\Record\Import;
use App\Models\Record\ImportState;
use App\Record\Import\ImportMode;
use App\Record\Import\ImportProgress;
use App\Record\Import\StartImport;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpKernel\Exception\ConflictHttpException;

final class ImportController extends Controller
{
    private const MOST = 50;

    public function __construct(private readonly ImportProgress $progress)
    {
    }

    #[OA\Get(path: '/api/planters/{planter}/imports', operationId: 'imports', tags: ['imports'])]
    #[OA\Response(response: 200, description: 'Files that were imported or are on their way, newest first; files that were only looked at are not among them', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/Import')))]
    public function index(Planter $planter): JsonResponse
    {
        $imports = $planter->imports()->where('mode', '!=', ImportMode::Preview)
            ->where(static fn (Builder $some): Builder => $some->where('kept', '>', 0)->orWhereIn('state', ImportState::onTheWay()))
            ->with('user:id,name')->orderByDesc('id')->limit(self::MOST)->get();

        return new JsonResponse($imports->map(ImportView::of(...))->all());
    }

    #[OA\Post(path: '/api/planters/{planter}/imports', operationId: 'importFile', description: 'Takes a file in; it is worked on in the background. Ask for the import until it is over. Sending a file again is harmless: what is on record does not come twice.', tags: ['imports'])]
    #[OA\RequestBody(required: true, content: new OA\MediaType(mediaType: 'multipart/form-data', schema: new OA\Schema(ref: '#/components/schemas/ImportEdit')))]
    #[OA\Response(response: 202, description: 'Taken in', content: new OA\JsonContent(ref: '#/components/schemas/ImportNow'))]
    public function store(ImportRequest $request, Planter $planter, StartImport $start): JsonResponse
    {
        $upload = $request->file('file');
        $import = $start($planter, $this->user($request), $upload->getRealPath(), $upload->getClientOriginalName(), $request->kind(), $request->mode(), $request->mapping(), $request->leaveOut());

        return $this->now($planter, $import, 202);
    }

    #[OA\Get(path: '/api/planters/{planter}/imports/{import}', operationId: 'import', tags: ['imports'])]
    #[OA\Response(response: 200, description: 'How far it is, or what came of it', content: new OA\JsonContent(ref: '#/components/schemas/ImportNow'))]
    public function show(Planter $planter, Import $import): JsonResponse
    {
        return $this->now($planter, $import, 200);
    }

    #[OA\Post(path: '/api/planters/{planter}/imports/{import}/cancel', operationId: 'cancelImport', description: 'Stops it; what is on record by then stays there.', tags: ['imports'])]
    #[OA\Response(response: 200, description: 'Stopped', content: new OA\JsonContent(ref: '#/components/schemas/ImportNow'))]
    #[OA\Response(response: 409, description: 'It was over already', content: new OA\JsonContent(ref: '#/components/schemas/Refusal'))]
    public function cancel(Planter $planter, Import $import): JsonResponse
    {
        $stopped = Import::query()->whereKey($import->id)->whereIn('state', ImportState::onTheWay())->update(['state' => ImportState::Cancelled]);
        if ($stopped === 0 && $import->refresh()->state !== ImportState::Cancelled) {
            throw new ConflictHttpException(__('import.over'));
        }

        return $this->now($planter, $import, 200);
    }

    private function now(Planter $planter, Import $import, int $status): JsonResponse
    {
        $already = $planter->imports()->where('sha256', $import->sha256)->where('id', '<', $import->id)->where('mode', '!=', ImportMode::Preview)
            ->where('state', ImportState::Done)->where('kept', '>', 0)->with('user:id,name')->latest('id')->first();

        return new JsonResponse(ImportNowView::of($import->refresh()->load('user:id,name'), $this->progress->of($import->id), $already), $status);
    }
}
