/** Of the product; what it finds may differ from one version to the next. */
export const PRODUCT_VERSION = '0.1.0';
