<?php

declare(strict_types=1);

namespace App\Record\Parcel\Http;

use App\Http\Controller;
use App\Record\Parcel\PackWorkshop;
use App\Record\Parcel\ParcelFailed;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Http\Request;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

final class ParcelController extends Controller
{
    /** Seconds; nginx waits for two minutes. A shop that takes longer is packed by ustrel:pack-workshop. */
    private const LONGEST = 110;

    #[OA\Get(path: '/api/workshop/parcel', operationId: 'packWorkshop', description: 'All of the workshop as an open archive: a zip with JSON, CSV and pictures, which another installation takes in', tags: ['record'])]
    #[OA\Response(ref: '#/components/responses/Refused', response: 422)]
    #[OA\Response(response: 200, description: 'The archive', content: new OA\MediaType(mediaType: 'application/zip', schema: new OA\Schema(type: 'string', format: 'binary')))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 403)]
    public function __invoke(Request $request, PackWorkshop $pack, Filesystem $files): BinaryFileResponse
    {
        $workshop = $this->user($request)->workshop()->firstOrFail();
        $file = storage_path('app/made/'.Str::uuid7().'.zip');
        $files->ensureDirectoryExists(dirname($file), 0700);
        set_time_limit(self::LONGEST);
        try {
            $pack($workshop, $file);
        } catch (ParcelFailed $failed) {
            throw ValidationException::withMessages(['parcel' => $failed->getMessage()]);
        }
        activity()->performedOn($workshop)->withProperties(['file' => 'parcel'])->log('exported');
        $name = Str::slug($workshop->name).'-'.now($workshop->time_zone)->toDateString().'.zip';

        return response()->download($file, $name, ['Content-Type' => 'application/zip', 'Cache-Control' => 'no-store'])->deleteFileAfterSend();
    }
}
