<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\People\Role;
use App\Models\User;
use App\Models\Workshop;
use Illuminate\Database\Eloquent\Factories\Factory;
use Illuminate\Support\Str;

/** @extends Factory<User> */
final class UserFactory extends Factory
{
    public const PASSWORD = 'secret-rows';

    public function definition(): array
    {
        return [
            'workshop_id' => Workshop::factory(),
            'name' => 'Wren Ashdown',
            'email' => Str::lower(Str::random(8)).'@example.test',
            'password' => self::PASSWORD,
            'role' => Role::Owner,
        ];
    }
}
