<?php

declare(strict_types=1);

namespace App\Wear;

use App\Models\Planter;
use App\Models\User;
use App\Record\Affected;
use App\Record\Change;
use App\Record\Inbox;
use App\Record\NotTaken;
use App\Record\Receipt;

/** Writes lines into a planter's acres log, or such as take an earlier line's place or take it back: all of them, or nothing. */
final readonly class LogAcres
{
    public function __construct(private Change $change)
    {
    }

    /**
     * @param  list<mixed>  $items  shape of each: the AcresEntry schema of the OpenAPI document
     * @return list<Receipt>
     *
     * @throws NotTaken
     */
    public function __invoke(Planter $planter, User $by, array $items): array
    {
        return $this->change->of($planter, static fn (Planter $planter, Affected $affected): array => (new Inbox($planter, $by))->takeWhole(new AcresEvents($planter), $items, $affected));
    }
}
