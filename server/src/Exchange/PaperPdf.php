<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Exchange;

use ChalkLadder\Core\Formula\NumberText;
use ChalkLadder\Core\Item\Item;
use ChalkLadder\Core\Paper\PaperProof;
use ChalkLadder\Server\Exchange\Api\View\PrintView;
use ChalkLadder\Server\Media\Files;
use ChalkLadder\Server\Paper\Papers;
use ChalkLadder\Server\Platform\Http\Problem;
use Psr\Log\LoggerInterface;
use Symfony\Component\Process\Process;

/** A paper, or its key, as PDF: headless Chromium prints the same page that the screen shows. */
final readonly class PaperPdf
{
    private const SECONDS = 40;

    public function __construct(
        private Papers $papers,
        private PrintTicket $ticket,
        private Files $files,
        private LoggerInterface $logger,
        private string $baseUrl,
    ) {
    }

    public function view(string $teamId, string $paperId): PrintView
    {
        $edition = $this->papers->draft($teamId, $paperId);
        $pictures = [];
        foreach ($edition->paper()->pictures() as $id) {
            $picture = $this->files->dataUri($teamId, $id);
            if ($picture !== null) {
                $pictures[$id] = $picture;
            }
        }

        return new PrintView($edition->paper()->toArray(), array_map(static fn (Item $i): array => $i->toArray(), $edition->items()), $pictures, NumberText::write(PaperProof::extent($edition->paper())[1]));
    }

    public function pdf(string $teamId, string $paperId, bool $key): string
    {
        $this->papers->draft($teamId, $paperId);
        $dir = sys_get_temp_dir().'/chalk-print-'.bin2hex(random_bytes(6));
        mkdir($dir, 0o700);
        $url = $this->baseUrl.'/print/paper/'.$paperId.'?'.http_build_query(['key' => $key ? 1 : 0, 'ticket' => $this->ticket->issue($teamId, $paperId)]);
        // The page is our own, sanitised and on loopback; the sandbox needs rights that a service account lacks.
        $process = new Process(['chromium', '--headless', '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync', '--disable-dev-shm-usage', '--user-data-dir='.$dir, '--virtual-time-budget=8000', '--no-pdf-header-footer', '--print-to-pdf='.$dir.'/out.pdf', $url], $dir, ['HOME' => $dir, 'XDG_CONFIG_HOME' => $dir, 'XDG_CACHE_HOME' => $dir], null, self::SECONDS);
        try {
            $process->run();
            $pdf = is_file($dir.'/out.pdf') ? (string) file_get_contents($dir.'/out.pdf') : '';
            if (!str_starts_with($pdf, '%PDF')) {
                $this->logger->error('Chromium made no PDF: '.mb_substr($process->getErrorOutput(), 0, 2000));
                throw new Problem(503, 'The PDF could not be made.', 'Try again in a moment, or print the page from your browser.');
            }

            return $pdf;
        } finally {
            (new Process(['rm', '-rf', $dir]))->run();
        }
    }
}
