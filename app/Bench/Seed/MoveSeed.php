<?php

declare(strict_types=1);

namespace App\Bench\Seed;

use App\Models\User;
use App\Models\Workshop;
use App\Record\Affected;
use App\Record\Change;
use App\Record\Inbox;
use App\Record\NotTaken;
use App\Record\Receipt;

/** Writes down what seed came and went: all of it, or nothing. */
final readonly class MoveSeed
{
    public function __construct(private Change $change)
    {
    }

    /**
     * @param  list<mixed>  $items  shape of each: the SeedMove schema of the OpenAPI document
     * @return list<Receipt>
     *
     * @throws NotTaken
     */
    public function __invoke(User $by, array $items): array
    {
        return $this->change->ofWorkshop($by->workshop_id, static fn (Workshop $workshop): array => (new Inbox($workshop, $by))->takeWhole(new SeedMoves($workshop), $items, new Affected));
    }
}
