import styled from 'styled-components';
import { paperLook } from '~/app/game/SheetView';
import { color } from '~/app/ui/theme';

const Pages = styled.ol`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(270px, 1fr));
  gap: 1.4rem;
  margin: 0;
  padding: 0;
  list-style: none;
  figure {
    margin: 0;
  }
  img {
    ${paperLook}
  }
  figcaption {
    margin-top: 0.35rem;
    color: ${color.faint};
  }
`;

/** Every page as it will be, drawn when it comes into view; each can be kept as an SVG file. */
export const PackPages = ({
  label,
  pages,
  query,
}: {
  label: string;
  pages: readonly { title: string; back: boolean; widthMm: number; heightMm: number }[];
  query: string;
}) => {
  const address = (page: number) => `/print/page.svg?${query ? `${query}&` : ''}page=${page}`;
  return (
    <Pages aria-label={label}>
      {pages.map(({ title, back, widthMm, heightMm }, i) => (
        <li key={`${query} ${i}`}>
          <figure>
            <img
              src={address(i + 1)}
              alt={`Page ${i + 1}: ${title}`}
              loading="lazy"
              width={Math.round(widthMm * 2)}
              height={Math.round(heightMm * 2)}
            />
            <figcaption>
              <span>
                {i + 1}. {title}
                {back && ' (back of the page before)'}
              </span>
              <br />
              <a href={`${address(i + 1)}&save=1`} download={`page-${i + 1}.svg`}>
                Keep page {i + 1} as SVG
              </a>
            </figcaption>
          </figure>
        </li>
      ))}
    </Pages>
  );
};
