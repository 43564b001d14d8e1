<?php

declare(strict_types=1);

namespace App\Record\Backup\Http;

use App\Http\Controller;
use App\Record\Backup\Backups;
use App\Record\Backup\Trial;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class BackupController extends Controller
{
    #[OA\Get(path: '/api/backups', operationId: 'backups', tags: ['record'])]
    #[OA\Response(response: 200, description: 'What is put by, and whether the newest was seen to come back', content: new OA\JsonContent(required: ['count', 'newest', 'trial'], properties: [
        new OA\Property(property: 'count', type: 'integer'),
        new OA\Property(property: 'newest', required: ['made_at', 'bytes'], properties: [
            new OA\Property(property: 'made_at', type: 'string', format: 'date-time'),
            new OA\Property(property: 'bytes', type: 'integer'),
        ], type: 'object', nullable: true),
        new OA\Property(property: 'trial', required: ['at', 'why'], properties: [
            new OA\Property(property: 'at', type: 'string', format: 'date-time'),
            new OA\Property(property: 'why', description: 'Why it did not come back; null: it did, whole', type: 'string', nullable: true),
        ], type: 'object', nullable: true),
    ]))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 403)]
    public function __invoke(Backups $backups, Trial $trial): JsonResponse
    {
        $all = $backups->all(Backups::folder());
        $newest = array_key_last($all);
        $last = $trial->last(Backups::folder());

        return new JsonResponse([
            'count' => count($all),
            'newest' => $newest === null ? null : ['made_at' => $all[$newest]->toIso8601ZuluString(), 'bytes' => (int) filesize($newest)],
            'trial' => $last === null ? null : ['at' => $last['at'], 'why' => $last['why']],
        ]);
    }
}
