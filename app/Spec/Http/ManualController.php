<?php

declare(strict_types=1);

namespace App\Spec\Http;

use App\Http\Controller;
use App\Models\Manual;
use App\Models\Planter;
use App\Models\SpecSheet;
use App\Record\Document;
use App\Spec\Manuals\KeepManual;
use App\Spec\Manuals\ManualFiles;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** Operator's manuals, each of one planter or of all that go by a spec sheet. */
final class ManualController extends Controller
{
    #[OA\Get(path: '/api/planters/{planter}/manuals', operationId: 'manuals', tags: ['spec'])]
    #[OA\Response(response: 200, description: 'Those of the planter, and of the sheets that its rows go by', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/Manual')))]
    public function ofPlanter(Planter $planter): JsonResponse
    {
        return new JsonResponse(Manual::ofPlanter($planter)->get()->map(ManualView::of(...))->all());
    }

    #[OA\Get(path: '/api/spec-sheets/{specSheet}/manuals', operationId: 'manualsOfSheet', tags: ['spec'])]
    #[OA\Response(response: 200, description: 'Those of the sheet', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/Manual')))]
    public function ofSheet(Request $request, SpecSheet $specSheet): JsonResponse
    {
        return new JsonResponse(Manual::query()->where('workshop_id', $this->user($request)->workshop_id)->where('spec_sheet_id', $specSheet->id)->orderBy('name')->orderBy('id')->get()->map(ManualView::of(...))->all());
    }

    #[OA\Post(path: '/api/manuals', operationId: 'addManual', description: 'A PDF of at most 40 MB. Sending it again is harmless.', tags: ['spec'])]
    #[OA\RequestBody(required: true, content: new OA\MediaType(mediaType: 'multipart/form-data', schema: new OA\Schema(required: ['name', 'file'], properties: [
        new OA\Property(property: 'name', type: 'string', maxLength: 80),
        new OA\Property(property: 'planter_id', description: 'Or else spec_sheet_id', type: 'integer'),
        new OA\Property(property: 'spec_sheet_id', type: 'integer'),
        new OA\Property(property: 'file', type: 'string', format: 'binary'),
    ], type: 'object')))]
    #[OA\Response(response: 200, description: 'Was there already', content: new OA\JsonContent(ref: '#/components/schemas/Manual'))]
    #[OA\Response(response: 201, description: 'Attached', content: new OA\JsonContent(ref: '#/components/schemas/Manual'))]
    public function store(Request $request, KeepManual $keep): JsonResponse
    {
        $user = $this->user($request);
        $said = $request->validate([
            'file' => ['required', 'file', 'max:'.ManualFiles::LARGEST_KILOBYTES],
            'name' => ['required', 'string', 'max:80'],
            'planter_id' => ['required_without:spec_sheet_id', 'prohibits:spec_sheet_id', 'integer', Rule::exists('planters', 'id')->where('workshop_id', $user->workshop_id)],
            'spec_sheet_id' => ['integer', Rule::exists('spec_sheets', 'id')->where(static fn ($of) => $of->where('workshop_id', $user->workshop_id)->orWhereNull('workshop_id'))],
        ], ['file.required' => __('manual.missing'), 'file.*' => __('manual.too_large'), 'name.*' => __('manual.name'), 'planter_id.*' => __('manual.of'), 'spec_sheet_id.*' => __('manual.of')]);
        $file = $request->file('file');
        if (! ManualFiles::isPdf($file->getPathname())) {
            throw ValidationException::withMessages(['file' => __('manual.no_pdf', ['file' => $file->getClientOriginalName()])]);
        }
        $of = ['planter_id' => isset($said['planter_id']) ? (int) $said['planter_id'] : null, 'spec_sheet_id' => isset($said['spec_sheet_id']) ? (int) $said['spec_sheet_id'] : null];
        $kept = $keep($user, trim($said['name']), $of, $file);

        return new JsonResponse(ManualView::of($kept), $kept->wasRecentlyCreated ? 201 : 200);
    }

    #[OA\Put(path: '/api/manuals/{manual}', operationId: 'editManual', tags: ['spec'])]
    #[OA\Response(response: 200, description: 'Kept', content: new OA\JsonContent(ref: '#/components/schemas/Manual'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 409)]
    public function update(Request $request, ManualEdit $edit, Manual $manual, Document $documents): ManualView
    {
        // Whoever walks may note a page; the name is the shop's.
        abort_if($edit->name !== $manual->name && $this->user($request)->cannot('set'), 403);

        return ManualView::of($documents->keep($manual, $edit->columns(), $edit->revision, 'name', 'manual.name'));
    }

    #[OA\Delete(path: '/api/manuals/{manual}', operationId: 'removeManual', tags: ['spec'])]
    #[OA\Response(response: 204, description: 'Removed')]
    public function destroy(Manual $manual, ManualFiles $files): Response
    {
        $manual->delete();
        $files->remove($manual);

        return response()->noContent();
    }

    #[OA\Get(path: '/api/manuals/{manual}/file', operationId: 'manualFile', tags: ['spec'])]
    #[OA\Response(response: 200, description: 'The PDF', content: new OA\MediaType(mediaType: 'application/pdf', schema: new OA\Schema(type: 'string', format: 'binary')))]
    public function pdf(Request $request, Manual $manual, ManualFiles $files): BinaryFileResponse
    {
        abort_unless(is_file($files->pathOf($manual)), 404);
        // Kept by the browser, but opened by nobody without asking first: the next person on the device may not.
        $answer = response()->file($files->pathOf($manual), ['Content-Type' => 'application/pdf', 'Cache-Control' => 'private, no-cache', 'X-Content-Type-Options' => 'nosniff'])->setPrivate()->setEtag($manual->sha256);
        $answer->isNotModified($request);

        return $answer;
    }
}
