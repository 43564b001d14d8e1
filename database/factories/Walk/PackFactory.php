<?php

declare(strict_types=1);

namespace Database\Factories\Walk;

use App\Models\Walk\Pack;
use App\Models\Workshop;
use Illuminate\Database\Eloquent\Factories\Factory;
use Ustrel\Core\Walk\WalkKind;

/** @extends Factory<Pack> */
final class PackFactory extends Factory
{
    public function definition(): array
    {
        return [
            'workshop_id' => Workshop::factory(),
            'name' => $this->faker->unique()->words(2, true),
            'kind' => WalkKind::InSeason,
            'checks' => ['opener_blade_diameter'],
        ];
    }
}
