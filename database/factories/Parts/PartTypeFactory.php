<?php

declare(strict_types=1);

namespace Database\Factories\Parts;

use App\Models\Parts\PartType;
use App\Models\Workshop;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * A plain opener blade.
 *
 * @extends Factory<PartType>
 */
final class PartTypeFactory extends Factory
{
    public function definition(): array
    {
        return ['workshop_id' => Workshop::factory(), 'name' => 'Blade', 'slots' => ['opener_blade'], 'per_row' => 2];
    }
}
