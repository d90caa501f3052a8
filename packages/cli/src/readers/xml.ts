import { SaxesParser, type SaxesTagPlain } from 'saxes';
import { Failure } from '../failure.ts';

/** The events that a reader of XML receives, in the order of the file. Names are without their prefix. */
export interface XmlHandler {
  open(name: string, attributes: Readonly<Record<string, string>>): void;
  text(text: string): void;
  close(name: string): void;
}

/** Elements within elements beyond this are no site map of anyone's. */
const mostLevels = 256;

/** How much is handed to the parser at a time, so that it never holds a second copy of a large file. */
const chunkLength = 65_536;

/**
 * Reads XML with a parser that checks it is well-formed. Entities that the document declares itself are not expanded:
 * one that is used is an error, so a small file cannot become a large one.
 *
 * @throws Failure with line and column
 */
export function readXml(text: string, file: string, handler: XmlHandler): void {
  const parser = new SaxesParser();
  const refuse = (message: string): never => {
    throw new Failure('xml-syntax', `${file}:${parser.line}:${parser.column + 1}: ${message}`);
  };
  let level = 0;
  parser.on('error', (error) => refuse(`this is not well-formed XML: ${error.message.replace(/^\d+:\d+: /u, '')}`));
  parser.on('opentag', (tag: SaxesTagPlain) => {
    level += 1;
    if (level > mostLevels) refuse(`elements are nested more than ${mostLevels} levels deep.`);
    handler.open(localName(tag.name), tag.attributes);
  });
  parser.on('text', (value) => handler.text(value));
  parser.on('cdata', (value) => handler.text(value));
  parser.on('closetag', (tag: SaxesTagPlain) => {
    level -= 1;
    handler.close(localName(tag.name));
  });
  for (let index = 0; index < text.length; index += chunkLength) parser.write(text.slice(index, index + chunkLength));
  parser.close();
}

function localName(name: string): string {
  return name.slice(name.indexOf(':') + 1);
}
