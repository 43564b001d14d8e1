<?php

declare(strict_types=1);

namespace App\Record;

use Attribute;
use Illuminate\Database\Eloquent\Model;
use LogicException;
use ReflectionClass;

/** What a kind of events declares of itself; the rest of it is what it reads. */
#[Attribute(Attribute::TARGET_CLASS)]
final readonly class Declared
{
    /**
     * @param  class-string<Model>  $model  with the columns of the envelope
     * @param  string  $item  wording where an item is no list of fields at all
     * @param  string  $gone  wording where the event to be corrected holds no more; empty where none of this kind is corrected
     * @param  string  $when  wording where its moment cannot be read; empty where the kind says itself when it was
     * @param  string  $ahead  wording where that lies ahead; as `when` where it is left out
     * @param  string  $moment  the field, and the column, of its moment
     * @param  bool  $isFlagged  the flag `withdrawn` takes an event of it back; else the kind says which does
     */
    public function __construct(
        public string $model,
        public string $item,
        public string $gone = '',
        public string $when = '',
        public string $ahead = '',
        public string $moment = 'happened_at',
        private bool $isFlagged = true,
    ) {
    }

    public static function by(Kind $kind): self
    {
        static $known = [];

        return $known[$kind::class] ??= ((new ReflectionClass($kind))->getAttributes(self::class)[0] ?? throw new LogicException($kind::class.' declares nothing of itself.'))->newInstance();
    }

    /** Whether a later event of this kind can take the place of an earlier one. */
    public function canSupersede(): bool
    {
        return $this->gone !== '';
    }

    /** Whether `withdrawn` is a column of it. */
    public function hasFlag(): bool
    {
        return $this->isFlagged && $this->canSupersede();
    }
}
