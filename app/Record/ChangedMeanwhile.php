<?php

declare(strict_types=1);

namespace App\Record;

use Illuminate\Http\JsonResponse;
use Symfony\Component\HttpKernel\Exception\ConflictHttpException;

/** Somebody else has changed a document since it was looked at. */
final class ChangedMeanwhile extends ConflictHttpException
{
    /** @param  list<string>  $fields  in which what stands differs from what was to be kept */
    public function __construct(public readonly array $fields)
    {
        parent::__construct(__('refused.changed_meanwhile'));
    }

    public function render(): JsonResponse
    {
        return new JsonResponse(['message' => $this->getMessage(), 'changed' => $this->fields], $this->getStatusCode());
    }
}
