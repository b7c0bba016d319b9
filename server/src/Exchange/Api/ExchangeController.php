<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Exchange\Api;

use ChalkLadder\Server\Exchange\Api\View\PrintJobView;
use ChalkLadder\Server\Exchange\Api\View\PrintView;
use ChalkLadder\Server\Exchange\Exports;
use ChalkLadder\Server\Exchange\FileName;
use ChalkLadder\Server\Exchange\PaperPdf;
use ChalkLadder\Server\Exchange\PrintTicket;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Platform\Http\Dear;
use ChalkLadder\Server\Platform\Http\Returns;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Attribute\MapQueryParameter;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

#[Route(requirements: ['id' => Requirement::UUID])]
final readonly class ExchangeController
{
    public function __construct(private Exports $exports, private PaperPdf $papers, private PrintTicket $ticket)
    {
    }

    #[Route('/handouts/{id}/responses.csv', methods: ['GET'])]
    #[IsGranted('ROLE_TEACHER')]
    #[Returns('file')]
    public function responses(#[CurrentUser] StaffUser $who, string $id): Response
    {
        return self::file($this->exports->responses($who->teamId, $id), 'text/csv; charset=UTF-8', $this->exports->name($who->teamId, $id, 'responses'));
    }

    #[Route('/handouts/{id}/marks.csv', methods: ['GET'])]
    #[IsGranted('ROLE_TEACHER')]
    #[Returns('file')]
    public function marks(#[CurrentUser] StaffUser $who, string $id): Response
    {
        return self::file($this->exports->marks($who->teamId, $id), 'text/csv; charset=UTF-8', $this->exports->name($who->teamId, $id, 'marks'));
    }

    #[Dear]
    #[Route('/papers/{id}/pdf', methods: ['POST'])]
    #[IsGranted('ROLE_TEACHER')]
    public function askForPdf(
        #[CurrentUser] StaffUser $who,
        string $id,
        #[MapQueryParameter] bool $key = false,
        #[MapQueryParameter] string $version = '',
        #[MapQueryParameter] bool $large = false,
        #[MapQueryParameter] bool $sheet = false,
    ): PrintJobView {
        return $this->papers->ask($who, $id, $key, $version, $large, $sheet);
    }

    #[Route('/pdfs/{id}', methods: ['GET'])]
    #[IsGranted('ROLE_TEACHER')]
    public function pdfState(#[CurrentUser] StaffUser $who, string $id): PrintJobView
    {
        return $this->papers->state($who, $id);
    }

    #[Route('/pdfs/{id}', methods: ['DELETE'])]
    #[IsGranted('ROLE_TEACHER')]
    public function cancelPdf(#[CurrentUser] StaffUser $who, string $id): void
    {
        $this->papers->cancel($who, $id);
    }

    /** Makes it; nginx sends this to workers of their own. */
    #[Route('/pdfs/{id}/file', methods: ['POST'])]
    #[IsGranted('ROLE_TEACHER')]
    #[Returns('file')]
    public function pdf(#[CurrentUser] StaffUser $who, string $id): Response
    {
        [$pdf, $name] = $this->papers->make($who, $id);

        return self::file($pdf, 'application/pdf', $name);
    }

    /** For the printing browser alone; the signed ticket stands in for a session. */
    #[Route('/print/papers/{id}', methods: ['GET'])]
    public function print(string $id, #[MapQueryParameter] string $ticket = '', #[MapQueryParameter] string $version = ''): PrintView
    {
        return $this->papers->view($this->ticket->check($ticket, $id), $id, $version);
    }

    private static function file(string $body, string $type, FileName $name): Response
    {
        return new Response(
            $body,
            200,
            [
                'Content-Type' => $type,
                'Cache-Control' => 'no-store',
                'Content-Disposition' => $name->disposition(),
                'X-Content-Type-Options' => 'nosniff',
            ],
        );
    }
}
