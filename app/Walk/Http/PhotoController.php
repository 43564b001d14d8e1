<?php

declare(strict_types=1);

namespace App\Walk\Http;

use App\Http\Controller;
use App\Models\Walk\Photo;
use App\Models\Walk\Walk;
use App\Walk\Board\NewsQuery;
use App\Walk\Photos\NotAPicture;
use App\Walk\Photos\PhotoEvents;
use App\Walk\Photos\PhotoFiles;
use App\Walk\Photos\PictureMaker;
use App\Walk\TakeIntoWalk;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

final class PhotoController extends Controller
{
    private const LARGEST_KILOBYTES = 15 * 1024;

    #[OA\Post(path: '/api/walks/{walk}/photos', operationId: 'storePhoto', description: 'A JPEG, PNG or WebP of at most 15 MB. It is kept as a JPEG without what the camera wrote beside the pixels. Sending it again is harmless.', tags: ['walk'])]
    #[OA\RequestBody(required: true, content: new OA\MediaType(mediaType: 'multipart/form-data', schema: new OA\Schema(required: ['id', 'row', 'check', 'side', 'taken_at', 'photo'], properties: [
        new OA\Property(property: 'id', description: 'Made on the device, UUIDv7', type: 'string', format: 'uuid'),
        new OA\Property(property: 'row', type: 'integer', maximum: 64, minimum: 0),
        new OA\Property(property: 'check', ref: '#/components/schemas/CheckKey'),
        new OA\Property(property: 'side', ref: '#/components/schemas/Side'),
        new OA\Property(property: 'taken_at', type: 'string', format: 'date-time'),
        new OA\Property(property: 'photo', type: 'string', format: 'binary'),
    ], type: 'object')))]
    #[OA\Response(response: 201, description: 'Kept, or known', content: new OA\JsonContent(ref: '#/components/schemas/WalkNews'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 409)]
    #[OA\Response(response: 503, description: 'Too many pictures at once; send it again a little later', content: new OA\JsonContent(ref: '#/components/schemas/Refusal'))]
    public function store(Request $request, Walk $walk, TakeIntoWalk $take, PictureMaker $maker, PhotoFiles $files, NewsQuery $news): JsonResponse
    {
        $request->validate(
            ['photo' => ['required', 'file', 'max:'.self::LARGEST_KILOBYTES]],
            ['photo.required' => __('photo.missing'), 'photo.*' => __('photo.too_large')],
        );
        $file = $request->file('photo')->getPathname();
        try {
            // Made before the planter is held: that takes a while.
            $picture = $maker->make($file);
        } catch (NotAPicture $refused) {
            throw ValidationException::withMessages(['photo' => $refused->getMessage()]);
        }
        [$receipt] = $take($walk, $this->user($request), static fn (Walk $walk): PhotoEvents => new PhotoEvents($walk, $picture, $files), [self::item($request, $file)]);
        $this->mustBeTaken($receipt, 'photo');
        $since = $news->of($walk->load(['planter.specSheet', 'planter.workshop']), $this->since($request));

        return new JsonResponse(WalkNewsView::of($since), 201);
    }

    /** @return array<string, mixed> a form's fields are text; the row is a number again */
    private static function item(Request $request, string $file): array
    {
        $row = $request->request->all()['row'] ?? null;

        return ['row' => is_string($row) && preg_match('/^\d{1,2}$/D', $row) === 1 ? (int) $row : $row, 'file' => (string) hash_file('sha256', $file)]
            + array_intersect_key($request->request->all(), array_flip(['id', 'check', 'side', 'taken_at']));
    }

    #[OA\Get(path: '/api/photos/{photo}', operationId: 'photo', tags: ['walk'])]
    #[OA\Response(response: 200, description: 'The picture', content: new OA\MediaType(mediaType: 'image/jpeg', schema: new OA\Schema(type: 'string', format: 'binary')))]
    public function show(Request $request, Photo $photo, PhotoFiles $files): BinaryFileResponse
    {
        return $this->picture($request, $photo, $files, false);
    }

    #[OA\Get(path: '/api/photos/{photo}/thumbnail', operationId: 'thumbnail', tags: ['walk'])]
    #[OA\Response(response: 200, description: 'The picture, 320 pixels at most', content: new OA\MediaType(mediaType: 'image/jpeg', schema: new OA\Schema(type: 'string', format: 'binary')))]
    public function thumbnail(Request $request, Photo $photo, PhotoFiles $files): BinaryFileResponse
    {
        return $this->picture($request, $photo, $files, true);
    }

    private function picture(Request $request, Photo $photo, PhotoFiles $files, bool $thumbnail): BinaryFileResponse
    {
        $path = $files->pathOf($photo, $thumbnail);
        abort_unless(is_file($path), 404);

        // Kept by the browser, but looked at by nobody without asking first: the next person on the device may not.
        $answer = response()->file($path, ['Content-Type' => 'image/jpeg', 'Cache-Control' => 'private, no-cache'])->setPrivate()->setEtag($photo->id.($thumbnail ? ' small' : ''));
        $answer->isNotModified($request);

        return $answer;
    }
}
