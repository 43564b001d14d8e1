<?php

declare(strict_types=1);

namespace App\Record\Import\Http;

use App\Http\Controller;
use App\Models\Import;
use App\Models\Planter;
use App\Record\Import\CsvFile;
use App\Record\Import\ImportFile;
use App\Record\Import\Mapping;
use App\Record\Import\RefusedFile;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\StreamedResponse;
use Throwable;

final class ImportController extends Controller
{
    private const MOST = 50;

    #[OA\Get(path: '/api/planters/{planter}/imports', operationId: 'imports', tags: ['imports'])]
    #[OA\Parameter(ref: '#/components/parameters/planter')]
    #[OA\Response(response: 200, description: 'Files that were imported, newest first', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/Import')))]
    #[OA\Response(ref: '#/components/responses/NotFound', response: 404)]
    public function index(Planter $planter): JsonResponse
    {
        $imports = Import::query()->where('planter_id', $planter->id)->with('user:id,name')->orderByDesc('id')->limit(self::MOST)->get();

        return new JsonResponse($imports->map(ImportShape::import(...))->all());
    }

    #[OA\Post(path: '/api/planters/{planter}/imports', operationId: 'importFile', description: 'Answers line by line while it reads, each line a JSON object: ImportProgress, and at the end an ImportResult or an ImportRefusal.', tags: ['imports'])]
    #[OA\Parameter(ref: '#/components/parameters/planter')]
    #[OA\RequestBody(required: true, content: new OA\MediaType(mediaType: 'multipart/form-data', schema: new OA\Schema(ref: '#/components/schemas/ImportEdit')))]
    #[OA\Response(response: 200, description: 'Newline-delimited JSON', content: new OA\MediaType(mediaType: 'application/x-ndjson', schema: new OA\Schema(type: 'string')))]
    #[OA\Response(ref: '#/components/responses/NotFound', response: 404)]
    #[OA\Response(ref: '#/components/responses/Refused', response: 422)]
    public function store(ImportRequest $request, Planter $planter, ImportFile $import): StreamedResponse
    {
        return new StreamedResponse(function () use ($request, $planter, $import): void {
            try {
                self::say(['result' => $this->import($request, $planter, $import)]);
            } catch (RefusedFile $refused) {
                self::say(['refused' => $refused->getMessage()]);
            } catch (Throwable $fault) {
                report($fault);
                self::say(['refused' => __('error.fault')]);
            }
        }, 200, ['Content-Type' => 'application/x-ndjson', 'X-Accel-Buffering' => 'no', 'Cache-Control' => 'no-cache']);
    }

    /** @return array<string, mixed> */
    private function import(ImportRequest $request, Planter $planter, ImportFile $import): array
    {
        $upload = $request->file('file');
        $path = $upload->getRealPath();
        $sha256 = (string) hash_file('sha256', $path);
        $file = CsvFile::open($path);
        $mapping = $request->mapping() === null
            ? Mapping::suggested($request->kind(), $file->columns)
            : Mapping::of($request->kind(), $request->mapping(), count($file->columns));
        $already = ImportShape::already($planter, $sha256);
        if ($mapping->missing() !== []) {
            return ImportShape::unmapped($file, $mapping, $already);
        }
        $report = $import(
            $planter, $this->user($request), $file, $mapping, $request->mode(), $request->leaveOut(), $upload->getClientOriginalName(), $sha256,
            static fn (int $lines, float $share): null => self::say(['lines' => $lines, 'share' => round($share, 3)]),
        );

        return ImportShape::result($file, $mapping, $report, $request->mode(), $already);
    }

    /** @param  array<string, mixed>  $said */
    private static function say(array $said): null
    {
        echo json_encode($said, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_INVALID_UTF8_SUBSTITUTE), "\n";
        if (ob_get_level() === 0) {
            flush();
        }

        return null;
    }
}
