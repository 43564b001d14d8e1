<?php

declare(strict_types=1);

namespace App\Walk;

use App\Models\Planter;
use App\Models\User;
use App\Models\Walk\Walk;
use App\Record\Affected;
use App\Record\Change;
use App\Record\Inbox;
use App\Record\Kind;
use App\Record\Receipt;
use Closure;

/** Takes what was recorded on a walk into the record: readings, notes, photos. Each is stored, known, doubted or refused on its own. */
final readonly class TakeIntoWalk
{
    public function __construct(private Change $change)
    {
    }

    /**
     * @param  Closure(Walk): Kind  $kind  made for the walk as it is while the planter is held
     * @param  list<mixed>  $items
     * @return list<Receipt> one for each item, in the same order
     */
    public function __invoke(Walk $walk, User $by, Closure $kind, array $items): array
    {
        return $this->change->of($walk->planter, static function (Planter $planter, Affected $affected) use ($walk, $by, $kind, $items): array {
            $walk = Walk::query()->findOrFail($walk->id)->setRelation('planter', $planter);

            return (new Inbox($planter, $by))->take($kind($walk), $items, $affected);
        });
    }
}
