<?php

declare(strict_types=1);

namespace App\Field\Http;

use App\Field\FigureWords;
use App\Field\HowItWent;
use App\Field\SettingEvents;
use App\Field\SettingLines;
use App\Field\SettingsQuery;
use App\Field\SettingsSheet;
use App\Http\Controller;
use App\Http\JsonBody;
use App\Models\Field\Setting;
use App\Models\Planter;
use App\Record\Http\ReceiptsView;
use App\Record\TakeWhole;
use App\Season\SeasonQuery;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;
use Ustrel\Core\Field\Settings\SettingFit;
use Ustrel\Core\Field\Settings\SettingGround;
use Ustrel\Core\Field\Settings\SettingKey;
use Ustrel\Core\Measure\UnitSystem;
use Ustrel\Core\Spec\DepthScale;
use Ustrel\Core\Wear\Acres\Residue;
use Ustrel\Core\Wear\Acres\Soil;

#[OA\Schema(schema: 'SettingEntry', required: ['id', 'happened_at'], properties: [
    new OA\Property(property: 'id', description: 'Made on the device, UUIDv7', type: 'string', format: 'uuid'),
    new OA\Property(property: 'line', description: 'As it is told, in place of key, row, value and figure: `downforce 180 lb rows 3-6, closing 2, air 18 in`', type: 'string', maxLength: 500),
    new OA\Property(property: 'key', type: 'string', enum: SettingKey::class),
    new OA\Property(property: 'row', description: '0, or left out, for the planter as a whole; of a line that names no rows, the row that it is about', type: 'integer'),
    new OA\Property(property: 'value', description: 'In words, where it has no unit; else what is to be said besides', type: 'string', maxLength: 60),
    new OA\Property(property: 'figure', description: 'Where it has a unit', type: 'number', nullable: true),
    new OA\Property(property: 'units', description: 'That the figure is in', type: 'string', enum: UnitSystem::class),
    new OA\Property(property: 'scale', description: 'That a depth is set on; refused where the row has another', type: 'string', enum: DepthScale::class),
    new OA\Property(property: 'field', type: 'string', maxLength: 80),
    new OA\Property(property: 'crop', type: 'string', maxLength: 80),
    new OA\Property(property: 'soil', type: 'string', enum: Soil::class, nullable: true),
    new OA\Property(property: 'residue', type: 'string', enum: Residue::class, nullable: true),
    new OA\Property(property: 'note', description: 'How it went', type: 'string', maxLength: 300),
    new OA\Property(property: 'happened_at', type: 'string', format: 'date-time'),
    new OA\Property(property: 'supersedes', description: 'The setting whose place it takes', type: 'string', format: 'uuid', nullable: true),
    new OA\Property(property: 'withdrawn', description: 'Take back the one that is superseded', type: 'boolean'),
])]
/** What is fitted and set on a planter, what was, and what comes back with the ground. */
final class SettingController extends Controller
{
    private const MOST = 100;

    private const LONGEST = 80;

    public function __construct(private readonly SettingsQuery $settings)
    {
    }

    #[OA\Get(path: '/api/planters/{planter}/settings', operationId: 'settings', tags: ['field'])]
    #[OA\Parameter(name: 'field', in: 'query', required: false, schema: new OA\Schema(type: 'string', maxLength: 80))]
    #[OA\Parameter(name: 'crop', in: 'query', required: false, schema: new OA\Schema(type: 'string', maxLength: 80))]
    #[OA\Parameter(name: 'soil', in: 'query', required: false, schema: new OA\Schema(type: 'string', enum: Soil::class))]
    #[OA\Parameter(name: 'residue', in: 'query', required: false, schema: new OA\Schema(type: 'string', enum: Residue::class))]
    #[OA\Response(response: 200, description: 'What is set now, what was, and what the ground that is asked for brings back', content: new OA\JsonContent(ref: '#/components/schemas/Settings'))]
    public function index(Request $request, Planter $planter, HowItWent $howItWent): JsonResponse
    {
        $planter->load(['specSheet', 'workshop']);
        $words = new FigureWords($this->user($request)->units);
        $went = static fn (Setting $last): array => $howItWent($planter, $last->field, $planter->seasonAt($last->happened_at->toIso8601String()), $words);

        return new JsonResponse(SettingsView::of($this->settings->held($planter), SeasonQuery::plan($planter), $planter->units(), self::ground($request), $words, $went));
    }

    #[OA\Get(path: '/api/planters/{planter}/settings/for/{other}', operationId: 'settingsFor', tags: ['field'])]
    #[OA\Parameter(name: 'other', description: 'Planter that is to take them', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Response(response: 200, description: 'What is set now, and what of it the other planter cannot take', content: new OA\JsonContent(required: ['takes', 'leaves'], properties: [
        new OA\Property(property: 'takes', type: 'array', items: new OA\Items(ref: '#/components/schemas/SettingMade')),
        new OA\Property(property: 'leaves', type: 'array', items: new OA\Items(required: ['said', 'why'], properties: [
            new OA\Property(property: 'said', type: 'string'),
            new OA\Property(property: 'why', type: 'string'),
        ], type: 'object')),
    ]))]
    public function for(Request $request, Planter $planter, Planter $other): JsonResponse
    {
        [$from, $to] = [$planter->load(['specSheet', 'workshop'])->units(), $other->load('specSheet')->units()];
        $words = new FigureWords($this->user($request)->units);
        $takes = $leaves = [];
        foreach (SettingsQuery::now($this->settings->held($planter)) as $setting) {
            $fit = SettingFit::of($setting->made(), $from, $to);
            if ($fit === SettingFit::Fits) {
                $takes[] = SettingMadeView::of($setting, $words);
            } else {
                $leaves[] = ['said' => __($setting->row_number === 0 ? 'settings.said' : 'settings.said_row', ['what' => __("setting.{$setting->key->value}"), 'to' => $words->setting($setting), 'row' => $setting->row_number]), 'why' => __("setting_fit.{$fit->value}")];
            }
        }

        return new JsonResponse(['takes' => $takes, 'leaves' => $leaves]);
    }

    #[OA\Post(path: '/api/planters/{planter}/settings', operationId: 'keepSettings', description: 'All of them, or nothing; sending it again is harmless', tags: ['field'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(required: ['settings'], properties: [
        new OA\Property(property: 'settings', description: '1 to 100', type: 'array', items: new OA\Items(ref: '#/components/schemas/SettingEntry')),
    ]))]
    #[OA\Response(response: 200, description: 'Known', content: new OA\JsonContent(ref: '#/components/schemas/Receipts'))]
    #[OA\Response(response: 201, description: 'Written', content: new OA\JsonContent(ref: '#/components/schemas/Receipts'))]
    #[OA\Response(ref: '#/components/responses/Refused', response: 409)]
    public function store(Request $request, Planter $planter, TakeWhole $take): JsonResponse
    {
        $settings = SettingLines::spread(JsonBody::list($request, 'settings', self::MOST, 'settings.list'), $planter->row_count, $planter->workshop->number_style);

        return ReceiptsView::taken(fn (): array => $take($planter, $this->user($request), static fn (Planter $of): SettingEvents => new SettingEvents($of), $settings), 'settings');
    }

    #[OA\Get(path: '/api/planters/{planter}/settings/sheet.pdf', operationId: 'settingsSheet', description: 'For the cab, or for a second planter', tags: ['field'])]
    #[OA\Response(response: 200, description: 'On paper', content: new OA\MediaType(mediaType: 'application/pdf'))]
    public function pdf(Request $request, Planter $planter, SettingsSheet $sheet): Response
    {
        return response($sheet->pdf($planter->load('workshop'), $this->user($request)->units), 200, ['Content-Type' => 'application/pdf', 'Content-Disposition' => 'inline; filename="settings.pdf"']);
    }

    #[OA\Get(path: '/api/planters/{planter}/settings/sheet.csv', operationId: 'settingsTable', description: 'Columns: docs/formats.md', tags: ['field'])]
    #[OA\Response(response: 200, description: 'As a table', content: new OA\MediaType(mediaType: 'text/csv', schema: new OA\Schema(type: 'string')))]
    public function csv(Request $request, Planter $planter, SettingsSheet $sheet): Response
    {
        return response($sheet->csv($planter->load('workshop'), $this->user($request)->units), 200, ['Content-Type' => 'text/csv; charset=UTF-8', 'Content-Disposition' => 'attachment; filename="settings.csv"']);
    }

    /** The ground that is asked for. */
    private static function ground(Request $request): SettingGround
    {
        $text = static function (string $of) use ($request): string {
            $said = $request->query($of) ?? '';

            return is_string($said) && mb_strlen($said) <= self::LONGEST ? $said : throw ValidationException::withMessages([$of => __("acres.{$of}")]);
        };
        [$soil, $residue] = [$text('soil'), $text('residue')];
        $soil = $soil === '' ? null : (Soil::tryFrom($soil) ?? throw ValidationException::withMessages(['soil' => __('acres.ground')]));
        $residue = $residue === '' ? null : (Residue::tryFrom($residue) ?? throw ValidationException::withMessages(['residue' => __('acres.ground')]));

        return new SettingGround($text('field'), $text('crop'), $soil, $residue);
    }
}
