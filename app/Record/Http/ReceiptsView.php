<?php

declare(strict_types=1);

namespace App\Record\Http;

use App\Http\Api\Schema;
use App\Record\NotTaken;
use App\Record\Outcome;
use App\Record\Receipt;
use Closure;
use Illuminate\Http\JsonResponse;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpKernel\Exception\ConflictHttpException;
use Throwable;

final readonly class ReceiptsView extends Schema
{
    public function __construct(
        /** @var list<ReceiptView> One for each item, in the same order */
        public array $receipts,
    ) {
    }

    /**
     * Of what was taken whole: 201 where anything is new, 200 where all was known.
     *
     * @param  list<Receipt>  $receipts
     */
    public static function answer(array $receipts): JsonResponse
    {
        $isNew = array_filter($receipts, static fn (Receipt $receipt): bool => $receipt->outcome === Outcome::Stored) !== [];

        return new JsonResponse(new self(ReceiptView::all($receipts)), $isNew ? 201 : 200);
    }

    /**
     * Takes what was sent whole: the answer where it was taken, in words where it was not.
     *
     * @param  Closure(): list<Receipt>  $take
     * @param  string  $items  the field that they came in; empty where the body is one item
     *
     * @throws Throwable
     */
    public static function taken(Closure $take, string $items = ''): JsonResponse
    {
        try {
            return self::answer($take());
        } catch (NotTaken $notTaken) {
            throw self::refusal($notTaken, $items);
        }
    }

    /**
     * Of what could not be taken whole: each item's field by name, or that an id is taken.
     *
     * @param  string  $items  what the list of them is called in the request; empty where there is only one and it is the request
     */
    public static function refusal(NotTaken $notTaken, string $items = ''): Throwable
    {
        if ($notTaken->isConflict()) {
            return new ConflictHttpException(__('refused.id_taken'));
        }
        $messages = [];
        foreach ($notTaken->inTheWay() as $receipt) {
            $path = array_filter($items === '' ? [$receipt->field] : [$items, (string) $receipt->index, $receipt->field], static fn (string $step): bool => $step !== '');
            $messages[$path === [] ? 'id' : implode('.', $path)][] = (string) $receipt->message;
        }

        return ValidationException::withMessages($messages);
    }
}
