<?php

declare(strict_types=1);

namespace App\Field\Http;

use App\Field\FigureWords;
use App\Http\Api\Schema;
use App\Models\Field\Setting;
use DateTimeInterface;
use Ustrel\Core\Field\Settings\SettingKey;
use Ustrel\Core\Spec\DepthScale;
use Ustrel\Core\Wear\Acres\Residue;
use Ustrel\Core\Wear\Acres\Soil;

final readonly class SettingMadeView extends Schema
{
    public function __construct(
        public string $id,
        public SettingKey $key,
        public int $row,
        /** With its unit, in the units of who asks */
        public string $said,
        public string $value,
        /** In the unit of its key, as the US has it */
        public ?float $figure,
        /** That a depth is set on */
        public ?DepthScale $scale,
        public string $field,
        public string $crop,
        public ?Soil $soil,
        public ?Residue $residue,
        public string $note,
        public string $by,
        public DateTimeInterface $happened_at,
    ) {
    }

    public static function of(Setting $setting, FigureWords $words): self
    {
        return new self(
            id: $setting->id, key: $setting->key, row: $setting->row_number, said: $words->setting($setting), value: $setting->value,
            figure: $setting->figure === null ? null : (float) $setting->figure, scale: $setting->depth_scale, field: $setting->field, crop: $setting->crop, soil: $setting->soil, residue: $setting->residue,
            note: $setting->note, by: $setting->user->name, happened_at: $setting->happened_at,
        );
    }
}
