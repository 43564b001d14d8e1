<?php

declare(strict_types=1);

namespace App\Record;

use App\Models\Planter;
use App\Models\User;
use Closure;

/** Takes events of one kind into the record of a planter: all of them, or nothing. */
final readonly class TakeWhole
{
    public function __construct(private Change $change)
    {
    }

    /**
     * @param  Closure(Planter): Kind  $kind  made for the planter as it is while it is held
     * @param  list<mixed>  $items
     * @return list<Receipt> one for each item, in the same order
     *
     * @throws NotTaken
     */
    public function __invoke(Planter $planter, User $by, Closure $kind, array $items): array
    {
        return $this->change->of($planter, static fn (Planter $planter, Affected $affected): array => (new Inbox($planter, $by))->takeWhole($kind($planter), $items, $affected));
    }
}
