import { runCommand } from './run';

// Whoever reads the answer may have read enough, as `head` does.
process.stdout.on('error', (error: NodeJS.ErrnoException) => process.exit(error.code === 'EPIPE' ? 0 : 1));

const { code, out, err } = await runCommand(process.argv.slice(2));
process.stdout.write(out);
process.stderr.write(err);
process.exitCode = code;
