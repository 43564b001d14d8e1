<?php

declare(strict_types=1);

namespace App\Models\People;

use Illuminate\Database\Eloquent\Model;

/**
 * A session that a person has on a device, as the framework keeps it.
 *
 * @property string $id never to be told: whoever has it is signed in
 * @property int|null $user_id
 * @property string|null $ip_address
 * @property string|null $user_agent
 * @property int $last_activity Unix seconds
 */
final class DeviceSession extends Model
{
    protected $table = 'sessions';

    public $incrementing = false;

    public $timestamps = false;

    protected $keyType = 'string';

    protected $guarded = [];

    /** A name by which it can be told and ended, and nobody signed in. */
    public function handle(): string
    {
        return substr(hash('sha256', $this->id), 0, 16);
    }
}
