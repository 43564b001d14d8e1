<?php

declare(strict_types=1);

namespace App\Field\Http;

use App\Field\FigureWords;
use App\Field\SettingsQuery;
use App\Models\Field\Setting;
use App\Models\Plan\SeasonPlan;
use Closure;
use Illuminate\Database\Eloquent\Collection;
use OpenApi\Attributes as OA;
use Ustrel\Core\Field\Settings\SettingGround;
use Ustrel\Core\Field\Settings\SettingKey;
use Ustrel\Core\Field\Settings\SettingValue;
use Ustrel\Core\Measure\UnitSystem;
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
    new OA\Property(property: 'field', type: 'string', maxLength: 80),
    new OA\Property(property: 'crop', type: 'string', maxLength: 80),
    new OA\Property(property: 'soil', type: 'string', enum: Soil::class, nullable: true),
    new OA\Property(property: 'residue', type: 'string', enum: Residue::class, nullable: true),
    new OA\Property(property: 'note', description: 'How it went', type: 'string', maxLength: 300),
    new OA\Property(property: 'happened_at', type: 'string', format: 'date-time'),
    new OA\Property(property: 'supersedes', description: 'The setting whose place it takes', type: 'string', format: 'uuid', nullable: true),
    new OA\Property(property: 'withdrawn', description: 'Take back the one that is superseded', type: 'boolean'),
])]
#[OA\Schema(schema: 'SettingMade', required: ['id', 'key', 'row', 'said', 'value', 'figure', 'field', 'crop', 'soil', 'residue', 'note', 'by', 'happened_at'], properties: [
    new OA\Property(property: 'id', type: 'string', format: 'uuid'),
    new OA\Property(property: 'key', type: 'string', enum: SettingKey::class),
    new OA\Property(property: 'row', type: 'integer'),
    new OA\Property(property: 'said', description: 'With its unit, in the units of who asks', type: 'string'),
    new OA\Property(property: 'value', type: 'string'),
    new OA\Property(property: 'figure', description: 'In the unit of its key, as the US has it', type: 'number', nullable: true),
    new OA\Property(property: 'field', type: 'string'),
    new OA\Property(property: 'crop', type: 'string'),
    new OA\Property(property: 'soil', type: 'string', enum: Soil::class, nullable: true),
    new OA\Property(property: 'residue', type: 'string', enum: Residue::class, nullable: true),
    new OA\Property(property: 'note', type: 'string'),
    new OA\Property(property: 'by', type: 'string'),
    new OA\Property(property: 'happened_at', type: 'string', format: 'date-time'),
])]
#[OA\Schema(schema: 'Settings', required: ['now', 'log', 'recalled', 'went', 'keys', 'grounds'], properties: [
    new OA\Property(property: 'now', type: 'array', items: new OA\Items(ref: '#/components/schemas/SettingMade')),
    new OA\Property(property: 'log', description: 'The newest first, up to 100', type: 'array', items: new OA\Items(ref: '#/components/schemas/SettingMade')),
    new OA\Property(property: 'recalled', description: 'What comes back with the ground asked for, each from the nearest where it was set', type: 'array', items: new OA\Items(ref: '#/components/schemas/SettingMade'), nullable: true),
    new OA\Property(property: 'went', description: 'What was planted, dug and counted there in that season, in words', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'keys', type: 'array', items: new OA\Items(required: ['key', 'unit', 'of_rows'], properties: [
        new OA\Property(property: 'key', type: 'string', enum: SettingKey::class),
        new OA\Property(property: 'unit', description: 'In words; empty of a plain figure, null where it is said in words', type: 'string', nullable: true),
        new OA\Property(property: 'of_rows', description: 'Rows may be set each by itself', type: 'boolean'),
    ], type: 'object')),
    new OA\Property(property: 'grounds', description: 'Fields of the season', type: 'array', items: new OA\Items(required: ['field', 'crop', 'soil', 'residue'], properties: [
        new OA\Property(property: 'field', type: 'string'),
        new OA\Property(property: 'crop', type: 'string'),
        new OA\Property(property: 'soil', type: 'string', enum: Soil::class, nullable: true),
        new OA\Property(property: 'residue', type: 'string', enum: Residue::class, nullable: true),
    ], type: 'object')),
])]
final class SettingShape
{
    private const LOGGED = 100;

    /**
     * @param  Collection<int, Setting>  $held  the newest first
     * @param  Closure(Setting): list<string>  $went  what came of the settings of which this is the last
     * @return array<string, mixed>
     */
    public static function of(Collection $held, SeasonPlan $plan, SettingGround $ground, FigureWords $words, Closure $went): array
    {
        $made = static fn (Setting $setting): array => self::made($setting, $words);
        $recalled = $ground->isUnsaid() ? [] : SettingsQuery::log($held)->recalled($ground);
        $byId = $held->keyBy('id')->all();
        $last = collect($recalled)->map(static fn (SettingValue $of): Setting => $byId[$of->id])->sortBy('happened_at')->last();

        return [
            'now' => array_map($made, SettingsQuery::now($held)),
            'log' => $held->take(self::LOGGED)->map($made)->values()->all(),
            'recalled' => $recalled === [] ? null : array_map(static fn (SettingValue $of): array => self::made($byId[$of->id], $words), $recalled),
            'went' => $last === null ? [] : $went($last),
            'keys' => array_map(static fn (SettingKey $key): array => ['key' => $key->value, 'unit' => $key->unit() === null ? null : $words->unit($key->unit()), 'of_rows' => $key->isOfRows()], SettingKey::cases()),
            'grounds' => array_map(static fn (array $field): array => ['field' => $field['name'], 'crop' => (string) $field['crop'], 'soil' => $field['soil'], 'residue' => $field['residue']], $plan->fields),
        ];
    }

    /** @return array<string, mixed> */
    public static function made(Setting $setting, FigureWords $words): array
    {
        return [
            'id' => $setting->id, 'key' => $setting->key->value, 'row' => $setting->row_number, 'said' => $words->setting($setting), 'value' => $setting->value,
            'figure' => $setting->figure === null ? null : (float) $setting->figure, 'field' => $setting->field, 'crop' => $setting->crop, 'soil' => $setting->soil?->value, 'residue' => $setting->residue?->value,
            'note' => $setting->note, 'by' => $setting->user->name, 'happened_at' => $setting->happened_at->toIso8601ZuluString('millisecond'),
        ];
    }
}
