<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Http;

use ChalkLadder\Core\Document\DocumentInvalid;
use Doctrine\DBAL\Exception\UniqueConstraintViolationException;
use Psr\Log\LoggerInterface;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Event\ExceptionEvent;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Symfony\Component\Security\Core\Exception\AccessDeniedException;
use Symfony\Component\Validator\Exception\ValidationFailedException;

/** Turns every failure into a problem document (RFC 9457). What the server did wrong is logged, never shown. */
final readonly class ProblemListener
{
    public function __construct(private LoggerInterface $logger)
    {
    }

    // After security's own listener (priority 1), which answers access denied for people who are not signed in.
    #[AsEventListener(priority: 0)]
    public function __invoke(ExceptionEvent $event): void
    {
        if ($event->getResponse() !== null) {
            return;
        }
        $problem = $this->problem($event->getThrowable());
        if ($problem->status >= 500) {
            $this->logger->critical($event->getThrowable()->getMessage(), ['exception' => $event->getThrowable()]);
        }
        $event->setResponse(self::response($problem));
    }

    public static function response(Problem $problem): JsonResponse
    {
        $body = ['type' => 'about:blank', 'title' => $problem->title, 'status' => $problem->status, 'detail' => $problem->detail];
        if ($problem->fields !== []) {
            $body['fields'] = $problem->fields;
        }

        return new JsonResponse(
            $body + $problem->extra,
            $problem->status,
            ['Content-Type' => 'application/problem+json', 'Cache-Control' => 'no-store'],
        );
    }

    private function problem(\Throwable $e): Problem
    {
        for ($cause = $e; $cause !== null; $cause = $cause->getPrevious()) {
            if ($cause instanceof Problem) {
                return $cause;
            }
            if ($cause instanceof UniqueConstraintViolationException) {
                return Problem::conflict('Somebody was there before you.', 'Nothing was altered. Look again, then try once more.');
            }
            if ($cause instanceof DocumentInvalid) {
                return Problem::document($cause);
            }
            if ($cause instanceof ValidationFailedException) {
                $fields = [];
                foreach ($cause->getViolations() as $violation) {
                    $fields[$violation->getPropertyPath()] ??= (string) $violation->getMessage();
                }

                return Problem::invalid($fields);
            }
        }
        if ($e instanceof AccessDeniedException) {
            return Problem::refused('Your role does not allow it.');
        }
        if ($e instanceof HttpExceptionInterface) {
            return match ($e->getStatusCode()) {
                400 => new Problem(400, 'The request could not be read.', 'Its body is not the JSON that is expected here.'),
                403 => Problem::refused('Your role does not allow it.'),
                404 => new Problem(404, 'There is nothing here.'),
                405 => new Problem(405, 'This cannot be done here.'),
                413 => Problem::tooMuch(),
                415 => new Problem(415, 'Send JSON.'),
                422 => new Problem(422, 'Some of this cannot be kept as it is.', $e->getMessage()),
                429 => new Problem(429, 'Too many tries.', 'Wait a minute, then try again.'),
                default => new Problem($e->getStatusCode(), 'This did not work.'),
            };
        }

        return new Problem(500, 'Something went wrong here.', 'Nothing was changed. It has been noted; try again in a moment.');
    }
}
