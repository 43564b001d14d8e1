<?php

declare(strict_types=1);

namespace Database\Factories\Record;

use App\Models\Planter;
use App\Models\Record\Import;
use App\Models\Record\ImportState;
use App\Models\User;
use App\Record\Import\ImportKind;
use App\Record\Import\ImportMode;
use Illuminate\Database\Eloquent\Factories\Factory;

/** @extends Factory<Import> */
final class ImportFactory extends Factory
{
    public function definition(): array
    {
        return [
            'planter_id' => Planter::factory(), 'user_id' => User::factory(), 'kind' => ImportKind::Acres, 'mode' => ImportMode::Good, 'state' => ImportState::Waiting,
            'file_name' => 'fields.csv', 'sha256' => str_repeat('0', 64), 'kept' => 0, 'left_out' => 0, 'leave_out' => [], 'imported_at' => now(),
        ];
    }
}
