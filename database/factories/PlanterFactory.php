<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\Planter;
use App\Models\SpecSheet;
use App\Models\Workshop;
use Illuminate\Database\Eloquent\Factories\Factory;
use Illuminate\Support\Str;

/**
 * A planter of eight rows, 30 in apart, some weeks before planting, by the typical vacuum sheet.
 *
 * @extends Factory<Planter>
 */
final class PlanterFactory extends Factory
{
    public function definition(): array
    {
        return [
            'workshop_id' => Workshop::factory(),
            'spec_sheet_id' => static fn (): int => SpecSheet::query()->whereNull('workshop_id')->where('type', 'vacuum')->firstOrFail()->id,
            'farm' => 'Ardle Bank Farm',
            'name' => 'Quill '.Str::random(6),
            'row_count' => 8,
            'spacing_mm' => '762.000000',
            'spacing_typed' => '30 in',
            'sections' => static fn (array $planter): array => [$planter['row_count']],
            'planting_start' => now()->addDays(23)->toDateString(),
        ];
    }
}
