<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\Planter;
use App\Models\User;
use App\Record\Outcome;
use App\Record\Receipt;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpKernel\Exception\ConflictHttpException;
use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Measure\UnreadableTime;

abstract class Controller
{
    /** The as_of that a device heard last; null where it is missing or no time. */
    protected function since(Request $request): ?Moment
    {
        $given = $request->input('since');
        try {
            return Moment::of(is_string($given) ? $given : '');
        } catch (UnreadableTime) {
            return null;
        }
    }

    /**
     * Of one thing that was sent alone.
     *
     * @param  string  $name  of it, where no field of it is to blame
     */
    protected function mustBeTaken(Receipt $receipt, string $name): void
    {
        if ($receipt->outcome === Outcome::Conflict) {
            throw new ConflictHttpException(__('refused.id_taken'));
        }
        if (! $receipt->outcome->isTaken()) {
            throw ValidationException::withMessages([$name => (string) $receipt->message]);
        }
    }

    /** To be saved under a name that says of which planter it is. */
    protected static function file(string $content, Planter $planter, string $name, string $type): Response
    {
        $name = Str::slug("{$planter->farm} {$planter->name}")."-{$name}";

        return new Response($content, 200, ['Content-Type' => $type, 'Content-Disposition' => "attachment; filename=\"{$name}\""]);
    }

    protected function user(Request $request): User
    {
        /** @var User the routes that call this are behind auth */
        return $request->user();
    }
}
