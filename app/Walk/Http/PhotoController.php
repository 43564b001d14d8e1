<?php

declare(strict_types=1);

namespace App\Walk\Http;

use App\Http\Controller;
use App\Models\Photo;
use App\Models\Walk;
use App\Record\Fields;
use App\Record\RefusedReading;
use App\Walk\Board\NewsQuery;
use App\Walk\Photos\NotAPicture;
use App\Walk\Photos\PhotoFiles;
use App\Walk\Photos\StorePhoto;
use Illuminate\Http\JsonResponse;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

final class PhotoController extends Controller
{
    #[OA\Post(path: '/api/walks/{walk}/photos', operationId: 'storePhoto', description: 'A JPEG, PNG or WebP of at most 15 MB. It is kept as a JPEG without what the camera wrote beside the pixels. Sending it again is harmless.', tags: ['walk'])]
    #[OA\Parameter(ref: '#/components/parameters/walk')]
    #[OA\RequestBody(required: true, content: new OA\MediaType(mediaType: 'multipart/form-data', schema: new OA\Schema(required: ['id', 'row', 'check', 'side', 'taken_at', 'photo'], properties: [
        new OA\Property(property: 'id', description: 'Made on the device, UUIDv7', type: 'string', format: 'uuid'),
        new OA\Property(property: 'row', type: 'integer', maximum: 48, minimum: 0),
        new OA\Property(property: 'check', ref: '#/components/schemas/CheckKey'),
        new OA\Property(property: 'side', ref: '#/components/schemas/Side'),
        new OA\Property(property: 'taken_at', type: 'string', format: 'date-time'),
        new OA\Property(property: 'photo', type: 'string', format: 'binary'),
    ], type: 'object')))]
    #[OA\Response(response: 201, description: 'Kept, or known', content: new OA\JsonContent(ref: '#/components/schemas/WalkNews'))]
    #[OA\Response(ref: '#/components/responses/NotFound', response: 404)]
    #[OA\Response(ref: '#/components/responses/Refused', response: 422)]
    public function store(PhotoRequest $request, Walk $walk, StorePhoto $store, NewsQuery $news): JsonResponse
    {
        try {
            $store($walk, $this->user($request), $request->id(), Fields::of($request->place(), 'not_a_reading'), $request->picture());
        } catch (RefusedReading|NotAPicture $refused) {
            throw ValidationException::withMessages(['photo' => $refused->getMessage()]);
        }
        $since = $news->of($walk->load('planter.specSheet'), $this->since($request));

        return (new WalkNewsResource($since))->response()->setStatusCode(201);
    }

    #[OA\Get(path: '/api/photos/{photo}', operationId: 'photo', tags: ['walk'])]
    #[OA\Parameter(name: 'photo', in: 'path', required: true, schema: new OA\Schema(type: 'string', format: 'uuid'))]
    #[OA\Response(response: 200, description: 'The picture', content: new OA\MediaType(mediaType: 'image/jpeg', schema: new OA\Schema(type: 'string', format: 'binary')))]
    #[OA\Response(ref: '#/components/responses/NotFound', response: 404)]
    public function show(Photo $photo, PhotoFiles $files): BinaryFileResponse
    {
        return $this->picture($photo, $files, false);
    }

    #[OA\Get(path: '/api/photos/{photo}/thumbnail', operationId: 'thumbnail', tags: ['walk'])]
    #[OA\Parameter(name: 'photo', in: 'path', required: true, schema: new OA\Schema(type: 'string', format: 'uuid'))]
    #[OA\Response(response: 200, description: 'The picture, 320 pixels at most', content: new OA\MediaType(mediaType: 'image/jpeg', schema: new OA\Schema(type: 'string', format: 'binary')))]
    #[OA\Response(ref: '#/components/responses/NotFound', response: 404)]
    public function thumbnail(Photo $photo, PhotoFiles $files): BinaryFileResponse
    {
        return $this->picture($photo, $files, true);
    }

    private function picture(Photo $photo, PhotoFiles $files, bool $thumbnail): BinaryFileResponse
    {
        $path = $files->pathOf($photo, $thumbnail);
        abort_unless(is_file($path), 404);

        return response()->file($path, ['Content-Type' => 'image/jpeg', 'Cache-Control' => 'private, max-age=31536000, immutable']);
    }
}
