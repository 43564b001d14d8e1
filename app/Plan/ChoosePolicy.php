<?php

declare(strict_types=1);

namespace App\Plan;

use App\Models\Planter;
use App\Models\User;
use App\Record\Affected;
use App\Record\Change;
use App\Record\Inbox;
use App\Record\NotTaken;
use App\Record\Receipt;

/** Sets the policy of a planter, or of one kind of slot on it, from now on. */
final readonly class ChoosePolicy
{
    public function __construct(private Change $change)
    {
    }

    /**
     * @param  mixed  $choice  shape: the PolicyChoice schema of the OpenAPI document
     * @return list<Receipt>
     *
     * @throws NotTaken
     */
    public function __invoke(Planter $planter, User $by, mixed $choice): array
    {
        return $this->change->of($planter, static fn (Planter $planter, Affected $affected): array => (new Inbox($planter, $by))->takeWhole(new PolicyChoices($planter), [$choice], $affected));
    }
}
