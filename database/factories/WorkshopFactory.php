<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\Workshop;
use Illuminate\Database\Eloquent\Factories\Factory;

/** @extends Factory<Workshop> */
final class WorkshopFactory extends Factory
{
    public function definition(): array
    {
        return ['name' => 'Tollgate Row Works'];
    }
}
